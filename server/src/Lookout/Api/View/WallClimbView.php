<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Sitting\Api\View\ClimberView;
use ChalkLadder\Server\Sitting\Api\View\ClimbView;

/** Teams that climb, as the wall may show them: nothing of who is in them. */
final readonly class WallClimbView
{
    /** @param list<WallClimberView> $teams */
    public function __construct(public int $length, public array $teams)
    {
    }

    public static function of(?ClimbView $climb): ?self
    {
        return $climb === null ? null : new self($climb->length, array_map(
            static fn (ClimberView $team): WallClimberView => new WallClimberView($team->name, $team->rungs),
            $climb->teams,
        ));
    }
}
