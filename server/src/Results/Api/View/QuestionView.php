<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class QuestionView
{
    /**
     * @param list<OptionView> $options
     * @param list<LineView>   $lines   the most frequent written answers
     * @param list<FlagView>   $flags
     * @param FigureView       $medianTime seconds
     * @param list<SureView>   $confidence mean credit by how sure they were; empty where it was not asked
     */
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public string $type,
        public string $prompt,
        public string $points,
        public FigureView $facility,
        public FigureView $itemRest,
        public FigureView $upperLower,
        public FigureView $alphaIfDropped,
        public int $omitted,
        public int $notReached,
        public int $waiting,
        public array $options,
        public array $lines,
        public array $flags,
        public FigureView $medianTime,
        public array $confidence,
        public ?FigureView $sureAndWrong,
    ) {
    }
}
