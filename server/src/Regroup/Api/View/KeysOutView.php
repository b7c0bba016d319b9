<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

/** An edition with questions that the groups have met, and whose keys they have been told. */
final readonly class KeysOutView
{
    /** @param int $questions how many */
    public function __construct(public string $editionId, public int $questions)
    {
    }
}
