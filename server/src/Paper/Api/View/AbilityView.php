<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** A fifth of the students, and the share of the marks they reached. */
final readonly class AbilityView
{
    public function __construct(public int $students, public float $share)
    {
    }
}
