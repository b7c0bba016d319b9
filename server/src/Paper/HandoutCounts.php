<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

/** How often papers have been handed out; told by the room of handouts. */
interface HandoutCounts
{
    /**
     * @param list<string> $paperIds
     *
     * @return array<string, int> by paper; none is absent
     */
    public function byPaper(array $paperIds): array;
}
