<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** How often an option was taken, by whom, and whether it does its work. */
final readonly class OptionReport
{
    /**
     * @param array{float, float, float} $byThird share of the lower, middle and upper third that took it
     * @param float|null                 $rest    correlation of taking it with the score on the other questions
     * @param bool|null                  $works   distractors: {@see Distractor::works()}; null for keys, small n, and where it cannot be told
     * @param int                        $upperCount students of the upper third who took it, ties split fairly and rounded
     * @param float                      $upperHalf  students of the upper half, ties split fairly
     * @param int                        $wrong      picks of any distractor of the question
     */
    public function __construct(
        public string $id,
        public bool $key,
        public int $count,
        public float $share,
        public array $byThird,
        public ?float $rest,
        public ?bool $works,
        public int $upperCount,
        public float $upperHalf,
        public int $wrong,
    ) {
    }
}
