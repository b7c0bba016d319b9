<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Match;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;

/** Things matched with places, or sorted into bins. */
final class MatchType extends PlainType
{
    public function readRule(Node $node): MatchRule
    {
        return MatchRule::read($node);
    }

    public function responses(): array
    {
        return [MatchResponse::class];
    }

    public function notes(): MatchNotes
    {
        return new MatchNotes();
    }

    public function seconds(): float
    {
        return 60.0;
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return self::cleanedList(self::cleanedList($rule, 'things', $clean), 'places', $clean);
    }
}
