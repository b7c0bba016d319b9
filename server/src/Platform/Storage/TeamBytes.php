<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** What belongs to a team and lies outside of the database, for backups. */
interface TeamBytes
{
    /** @return iterable<string, string> bytes by the name under which they lie, in the order of names */
    public function ofTeam(string $teamId): iterable;

    public function put(string $name, string $bytes): void;
}
