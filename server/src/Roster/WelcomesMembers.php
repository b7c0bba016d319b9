<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A room that has something for whoever comes into a class; told within the same act. */
#[AutoconfigureTag]
interface WelcomesMembers
{
    public function welcome(string $classId): void;
}
