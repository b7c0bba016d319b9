<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A criterion with the points of its levels. */
final readonly class RubricLineView
{
    /** @param list<string> $points in the order of the levels */
    public function __construct(public string $name, public array $points)
    {
    }
}
