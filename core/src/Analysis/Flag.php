<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Something a teacher should look at, with its evidence in words. */
final readonly class Flag
{
    public const MIS_KEYED = 'perhaps mis-keyed';
    public const TWO_READINGS = 'two readings';
    public const BACKWARDS = 'separates backwards';
    public const DOES_NOT_SEPARATE = 'does not separate';
    public const TOO_EASY = 'too easy to say';
    public const TOO_HARD = 'too hard to say';
    public const IDLE = 'idle distractor';
    public const NOT_REACHED = 'not reached by many';
    public const RUSHED = 'rushed';
    public const FEW = 'few';

    public function __construct(public string $kind, public string $evidence, public ?string $option = null)
    {
    }
}
