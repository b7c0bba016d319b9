<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** Told by the room of sittings. */
interface KeysTold
{
    /**
     * @param list<string> $itemIds
     *
     * @return list<string> those whose keys some of the team's students have been told, wherever they met them
     */
    public function among(string $teamId, array $itemIds): array;
}
