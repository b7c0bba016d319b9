<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

use ChalkLadder\Server\Handout\Api\View\HandoutView;

final readonly class ResultsView
{
    /**
     * @param list<BinView>           $bins
     * @param list<RungView>          $rungs
     * @param list<QuestionView>      $questions
     * @param list<ConfusionView>     $confusions the closest first
     * @param list<MisconceptionView> $misconceptions
     * @param list<StudentResultView>       $students
     */
    public function __construct(
        public HandoutView $handout,
        public string $attemptRule,
        public int $doubles,
        public int $waiting,
        public string $points,
        public FigureView $mean,
        public FigureView $median,
        public FigureView $sd,
        public FigureView $quartiles,
        public FigureView $alpha,
        public FigureView $sem,
        public array $bins,
        public array $rungs,
        public array $questions,
        public array $confusions,
        public array $misconceptions,
        public array $students,
    ) {
    }
}
