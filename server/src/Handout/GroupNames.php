<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** Told by the room of groupings. */
interface GroupNames
{
    /**
     * @param list<string> $groupIds
     *
     * @return array<string, string> by group
     */
    public function of(array $groupIds): array;
}
