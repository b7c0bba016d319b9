<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

/** An entity with a column `team_id`: {@see TeamFilter} hides it from every other team. */
interface TeamOwned
{
    public function teamId(): string;
}
