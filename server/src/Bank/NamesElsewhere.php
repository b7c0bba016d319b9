<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** Who else writes down skills, misconceptions and questions by their ids, and follows when two become one. */
interface NamesElsewhere
{
    /**
     * Calls it by the other one in all that is still being written; within the act of the asker.
     *
     * @param list<string>|null $only limits it to these
     *
     * @return array{alone: list<string>, mixed: list<string>} ids of what was written anew: where the other one was not named before, and
     *                                                          where it was, so that the two cannot be told apart again
     */
    public function call(string $teamId, string $by, string $one, string $other, ?array $only = null): array;
}
