<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** Teams that climb, with no student's name: fit for a wall. */
final readonly class ClimbView
{
    /**
     * @param string              $state  none, drawn (only proposed), on, stopped
     * @param int                 $length rungs of the ladder: questions that a machine marks, as many as a student can meet
     * @param list<ClimberView>   $teams
     * @param bool                $tells  whoever watches can tell that an answer is right before the feedback plan says so
     */
    public function __construct(public string $state, public int $length, public array $teams, public bool $tells)
    {
    }
}
