<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A room that can name its things for the trail. */
#[AutoconfigureTag]
interface TrailSubjects
{
    /**
     * @param list<string> $ids of things of any room
     *
     * @return array<string, TrailSubject> those of this room and team, by id; a place on a roster by `class|student`
     */
    public function named(string $teamId, array $ids): array;
}
