<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

final readonly class QuestionReport
{
    /**
     * @param list<OptionReport> $options
     * @param list<PartReport>   $parts      where nothing is picked from options
     * @param list<Flag>         $flags
     * @param Figure             $medianTime seconds
     * @param Confidence|null    $confidence null where it was not asked
     */
    public function __construct(
        public string $id,
        public Figure $facility,
        public Figure $itemRest,
        public Figure $itemTotal,
        public Figure $upperLower,
        public Figure $alphaIfDropped,
        public int $omitted,
        public int $notReached,
        public int $waiting,
        public array $options,
        public array $parts,
        public array $flags,
        public Figure $medianTime,
        public ?Confidence $confidence,
    ) {
    }
}
