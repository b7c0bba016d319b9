<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;

/** Groups that two records of one student stand in. Where both stand in a grouping, each stays where it is. */
final readonly class MovedMembers extends MovedRows implements MovesWork
{
    public function room(): string
    {
        return 'regroup';
    }

    public function move(string $from, string $into): array
    {
        return ['groups' => $this->texts('UPDATE grouping_member t SET student_id = :into WHERE t.student_id = :from AND NOT EXISTS (
                SELECT 1 FROM grouping_member o JOIN grouping_group g ON g.id = o.group_id JOIN grouping_group own ON own.id = t.group_id
                WHERE o.student_id = :into AND g.grouping_id = own.grouping_id
            ) RETURNING t.group_id', ['from' => $from, 'into' => $into])];
    }

    public function moveBack(string $from, string $into, array $moved): void
    {
        $groups = self::keys($moved, 'groups');
        if ($groups !== []) {
            $this->run('UPDATE grouping_member SET student_id = :from WHERE student_id = :into AND group_id IN (:groups)', [
                'from' => $from,
                'into' => $into,
                'groups' => $groups,
            ]);
        }
    }
}
