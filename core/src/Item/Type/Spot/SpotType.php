<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\PointsResponse;

/** Points, rings or labels on a picture. */
final class SpotType extends PlainType
{
    public function readRule(Node $node): SpotRule
    {
        return SpotRule::read($node);
    }

    public function responses(): array
    {
        return [PointsResponse::class, RingsResponse::class, LabelsResponse::class];
    }

    public function seconds(): float
    {
        return 60.0;
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return self::cleanedList($rule, 'labels', $clean);
    }
}
