<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** How far a student has been in a sound or a film, on whatever device. */
final readonly class PlayedView
{
    /** @param float $until seconds: where the last part that was played ends */
    public function __construct(public float $until)
    {
    }
}
