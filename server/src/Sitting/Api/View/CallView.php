<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** A call that waits for the teacher: stuck, or look this over. */
final readonly class CallView
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $entry,
        public string $words,
        public string $madeAt,
    ) {
    }
}
