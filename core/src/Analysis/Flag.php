<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Something a teacher should look at, with its evidence in words. */
final readonly class Flag
{
    public const MIS_KEYED = 'perhaps mis-keyed';
    public const TWO_READINGS = 'two readings';
    public const BACKWARDS = 'separates backwards';
    public const FEW = 'few';

    public function __construct(public string $kind, public string $evidence, public ?string $option = null)
    {
    }
}
