<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use ChalkLadder\Core\Item\Item;

/** Re-marking as a pure function: responses, old question, new question → before and after of each. */
final class Remark
{
    /**
     * Checks each distinct response once.
     *
     * @param list<Given> $given
     *
     * @return list<Change> one for each response, in the order given
     */
    public static function changes(array $given, Item $old, Item $new): array
    {
        $known = [];
        $changes = [];
        foreach ($given as $one) {
            $key = $one->response->key();
            [$before, $after] = $known[$key] ??= [$old->check($one->response), $new->check($one->response)];
            $changes[] = new Change($one->id, $before, $after, $one->setByHand);
        }

        return $changes;
    }
}
