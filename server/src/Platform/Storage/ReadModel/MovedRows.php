<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What the statements share that make rows of one student another's, and remember which. */
abstract readonly class MovedRows extends ReadModel
{
    /**
     * @param array<array-key, mixed> $moved what a room has moved
     *
     * @return list<string> the keys of rows that were moved
     */
    protected static function keys(array $moved, string $of): array
    {
        return array_values(array_filter(is_array($moved[$of] ?? null) ? $moved[$of] : [], is_string(...)));
    }

    /**
     * Rows of one student become another's.
     *
     * @param string $table  whose rows have an id
     * @param string $column that names the student
     * @param string $but    a condition on a row `t` that holds for what must stay; parameters: from, into
     *
     * @return list<string> ids
     */
    protected function moveRows(string $table, string $column, string $from, string $into, string $but = 'false'): array
    {
        return $this->texts("UPDATE $table t SET $column = :into WHERE t.$column = :from AND NOT ($but) RETURNING t.id", [
            'from' => $from,
            'into' => $into,
        ]);
    }

    /** @param list<string> $ids */
    protected function moveRowsBack(string $table, string $column, string $from, string $into, array $ids): void
    {
        if ($ids !== []) {
            $this->run("UPDATE $table SET $column = :from WHERE $column = :into AND id IN (:ids)", [
                'from' => $from,
                'into' => $into,
                'ids' => $ids,
            ]);
        }
    }
}
