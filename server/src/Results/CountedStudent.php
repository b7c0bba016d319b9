<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

/** What counts of one student. */
final readonly class CountedStudent
{
    /**
     * @param string      $sittingId of the attempt that stands for the student
     * @param float       $waiting   points that wait for a marker
     * @param float|null  $share     of the marks; what waits for a marker says nothing yet, neither for nor against. Null where all of it waits
     * @param list<float> $others    marks of the attempts that do not count
     * @param int         $fewerOptions distractors that were left out for this student where one option was to be picked
     * @param int         $corrected answers that stand as a teacher has corrected them
     * @param list<float> $averaged  marks of the attempts that were averaged; empty where one counts
     */
    public function __construct(
        public string $studentId,
        public string $sittingId,
        public string $name,
        public float $marks,
        public float $of,
        public float $waiting,
        public ?float $share,
        public int $attempt,
        public array $others,
        public array $averaged,
        public string $state,
        public int $fewerOptions,
        public int $corrected,
    ) {
    }
}
