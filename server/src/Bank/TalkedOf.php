<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Knows what of one kind the team can talk about. */
#[AutoconfigureTag]
interface TalkedOf
{
    public function isAbout(): RemarkOn;

    public function has(string $teamId, string $id): bool;

    /** The same, with its row held until the act ends, so that two of the same wait for each other. */
    public function hold(string $teamId, string $id): bool;
}
