<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** One line of a {@see Blueprint}: a skill, or the whole. */
final readonly class BlueprintRow
{
    /**
     * @param string|null      $skill    null: none is named, or the whole paper
     * @param list<string>     $entries  its questions, in written order
     * @param BigRational|null $wanted   marks that are planned; null: nothing is
     * @param float|null       $facility expected share of the marks, weighed by them, over the questions with a record; null: none has one
     * @param int              $known    questions with a record
     * @param float            $seconds  that they take together
     * @param list<string>     $thin     what speaks against it, in sentences
     */
    public function __construct(
        public ?string $skill,
        public array $entries,
        public BigRational $marks,
        public ?BigRational $wanted,
        public ?float $facility,
        public int $known,
        public float $seconds,
        public array $thin,
    ) {
    }
}
