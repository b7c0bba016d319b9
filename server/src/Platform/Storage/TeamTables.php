<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** The tables of a room that belong to teams, for backups. */
#[AutoconfigureTag]
interface TeamTables
{
    /** Rooms are restored in this order: the lower ones first. */
    public function place(): int;

    /** @return array<string, string> a condition on a row `t` with the parameter team, by table, those first that others refer to */
    public function ofTeam(): array;
}
