<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** One handout in a student's own list. */
final readonly class OwnWorkRowView
{
    /**
     * @param string   $status  due, scheduled, open, handed in, returned, missed
     * @param int|null $minutes that the student has from when they begin; null where no time is set
     * @param int|null $secondsEach that the student has for each question; null where it has no time of its own
     * @param string|null $marks of the last attempt, where they are told and all is marked
     * @param string|null $of    marks that it could have; null where that was not counted
     */
    public function __construct(
        public string $handoutId,
        public string $title,
        public string $status,
        public ?string $sittingId,
        public ?string $opensAt,
        public ?string $closesAt,
        public int $attempt,
        public int $attempts,
        public bool $mayOpen,
        public ?int $minutes,
        public ?int $secondsEach,
        public ?string $marks,
        public ?string $of,
    ) {
    }
}
