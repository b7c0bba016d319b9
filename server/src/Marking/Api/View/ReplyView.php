<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** What a student said to returned work. */
final readonly class ReplyView
{
    /** @param string $at ISO 8601 */
    public function __construct(
        public string $sittingId,
        public string $handoutId,
        public string $handout,
        public string $student,
        public string $text,
        public string $at,
    ) {
    }
}
