<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\ResponseReader;

/** Re-marking as a pure function: responses, old rule, new rule → before and after of each. */
final class Remark
{
    /**
     * Checks each distinct response of a case once.
     *
     * @param list<Given>              $given
     * @param \Closure(Given): Outcome $before under the old rule
     * @param \Closure(Given): Outcome $after  under the new one
     *
     * @return list<Change> one for each response, in the order given
     */
    public static function changes(array $given, \Closure $before, \Closure $after): array
    {
        $known = [];
        $changes = [];
        foreach ($given as $one) {
            [$was, $is] = $known[$one->case."\0".ResponseReader::key($one->response)] ??= [$before($one), $after($one)];
            $changes[] = new Change($one->id, $was, $is, $one->setByHand);
        }

        return $changes;
    }
}
