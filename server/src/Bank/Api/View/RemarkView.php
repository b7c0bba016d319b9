<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class RemarkView
{
    /**
     * @param string      $part      `prompt`, a line of the key by its name, or '' for the whole
     * @param bool        $own       the reader wrote it
     * @param string|null $settledBy null while it is open
     */
    public function __construct(
        public string $id,
        public string $part,
        public string $text,
        public string $by,
        public string $at,
        public bool $own,
        public ?string $settledBy,
        public ?string $settledAt,
    ) {
    }
}
