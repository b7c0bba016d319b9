<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/** What a student is to work on next. */
final class NextStep
{
    /**
     * The skill that was shown least of. Each mean is drawn towards one half as if by one answer right and one wrong, so that
     * a skill few questions speak of does not win by chance.
     *
     * @param array<string, list<float>> $credits 0…1, by skill
     *
     * @return string the skill; '' where none is known
     */
    public static function of(array $credits): string
    {
        $means = array_map(static fn (array $c): float => (array_sum($c) + 1) / (count($c) + 2), $credits);
        asort($means);

        return (string) array_key_first($means);
    }
}
