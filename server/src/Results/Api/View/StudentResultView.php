<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class StudentResultView
{
    /**
     * @param list<float> $others   marks of the attempts that do not count
     * @param float       $waiting  marks that wait for a marker
     * @param int         $rung     by the marks that count so far, from 1; 0 while none do
     * @param FigureView  $pace     time beside the median of each question
     * @param FigureView  $rushed   share of answers too fast to have been thought about
     * @param string|null $manner   "rushing", "lagging" or neither
     * @param int         $fewerOptions distractors that were left out for this student
     * @param int         $corrected answers that stand as a teacher has corrected them, in what counts
     * @param list<float> $averaged marks of the attempts whose mean counts, where there are several
     */
    public function __construct(
        public string $studentId,
        public string $sittingId,
        public string $name,
        public float $marks,
        public float $of,
        public float $waiting,
        public int $rung,
        public int $attempt,
        public array $others,
        public array $averaged,
        public string $state,
        public FigureView $pace,
        public FigureView $rushed,
        public FigureView $sureAndWrong,
        public ?string $manner,
        public int $fewerOptions,
        public int $corrected,
    ) {
    }
}
