<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

use ChalkLadder\Server\Lookout\Api\View\RoomCountView;

/** A question each time it was handed out, the latest first. */
final readonly class RecordByUseView
{
    /**
     * @param list<UseView>       $uses
     * @param list<RoomCountView> $rooms where it was counted in the room, before and after a talk
     */
    public function __construct(public array $uses, public array $rooms)
    {
    }
}
