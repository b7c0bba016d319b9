<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** Who else writes down skills and misconceptions, and follows when two become one. */
interface TermsElsewhere
{
    /**
     * Calls it by the other one in all that is still being written; within the act of the asker.
     *
     * @param list<string>|null $only limits it to these
     *
     * @return list<string> ids of what was written anew and had not named the other one before
     */
    public function call(string $teamId, string $by, string $term, string $other, ?array $only = null): array;
}
