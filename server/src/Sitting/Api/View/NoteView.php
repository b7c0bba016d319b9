<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** What the teacher has written to a student, or to all. */
final readonly class NoteView
{
    /**
     * @param string|null $entry the question that it is about
     * @param string|null $file  what is spoken
     */
    public function __construct(
        public string $id,
        public ?string $entry,
        public string $words,
        public string $madeAt,
        public ?string $file,
    ) {
    }
}
