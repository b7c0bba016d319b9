<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

/** A change of a question's key, as it is listed. */
final readonly class KeyChangeLine
{
    /**
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     * @param string|null             $undoneAt ISO 8601
     */
    public function __construct(
        public string $id,
        public array $before,
        public array $after,
        public string $reason,
        public string $maker,
        public string $madeAt,
        public ?string $undoer,
        public ?string $undoneAt,
        public bool $undoable,
    ) {
    }
}
