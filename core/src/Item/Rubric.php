<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** A rule that a person applies: an analytic rubric whose levels' points are added. */
interface Rubric extends Rule
{
    /** @return list<Criterion> */
    public function criteria(): array;

    /**
     * Credit for one level picked in each criterion: points reached / points possible.
     *
     * @param list<int|null> $levels the index of the level for each criterion, null where none is picked yet
     *
     * @return BigRational|null null while a criterion is undecided
     */
    public function creditFor(array $levels): ?BigRational;

    /**
     * @param list<int|null> $levels
     *
     * @return list<string> ids of the misconceptions that the picked levels show
     */
    public function misconceptionsOf(array $levels): array;

    /**
     * The picked levels in words: criterion and descriptor.
     *
     * @param list<int|null> $levels
     *
     * @return list<string>
     */
    public function levelsInWords(array $levels): array;

    /**
     * Levels whose share of the question's points is no whole or half mark, and would be rounded.
     *
     * @return list<Defect>
     */
    public function misfits(BigRational $points): array;
}
