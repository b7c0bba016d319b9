<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What a student can do by now, from what they have been told. */
final readonly class OwnSkillsView
{
    /**
     * @param list<OwnSkillView> $skills by name
     * @param int                $rungs  how many rungs there are
     * @param int                $latest so many answers count at most
     */
    public function __construct(public array $skills, public int $rungs, public int $latest)
    {
    }
}
