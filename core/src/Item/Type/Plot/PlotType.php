<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Plot;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\PointsResponse;

/** Points, lines and intervals on a grid or number line. */
final class PlotType extends PlainType
{
    public function readRule(Node $node): PlotRule
    {
        return PlotRule::read($node);
    }

    public function responses(): array
    {
        return [PointsResponse::class, PlotResponse::class];
    }

    public function seconds(): float
    {
        return 90.0;
    }
}
