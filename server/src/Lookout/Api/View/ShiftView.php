<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Core\Analysis\Shift;

/** What moved between two counts, over those in both. */
final readonly class ShiftView
{
    private function __construct(public int $toKey, public int $fromKey, public int $keptKey, public int $keptOther)
    {
    }

    public static function of(Shift $shift): self
    {
        return new self($shift->toKey, $shift->fromKey, $shift->keptKey, $shift->keptOther);
    }
}
