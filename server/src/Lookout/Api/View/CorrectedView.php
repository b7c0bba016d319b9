<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** An answer stands as a teacher has corrected it. */
final readonly class CorrectedView
{
    /** @param string $given what the student had given, in words */
    public function __construct(public string $id, public string $given, public string $why, public string $by, public string $at)
    {
    }
}
