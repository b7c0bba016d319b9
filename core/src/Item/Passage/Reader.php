<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** Proposes questions from a passage, by rules that say themselves. No learning, no chance: the same passage gives the same questions. */
final class Reader
{
    /** So many of each rule. */
    private const MOST = 6;

    /** @return list<Candidate> by rule, in the order of the passage */
    public static function candidates(string $html): array
    {
        $passage = Passage::read($html);

        return array_merge(...array_map(static fn (Proposes $rule): array => array_slice($rule->from($passage), 0, self::MOST), [
            new NumbersWithUnits(), new MissingName(), new OneWordChanged(), new OrderOfEvents(), new GapsInKeySentences(),
        ]));
    }
}
