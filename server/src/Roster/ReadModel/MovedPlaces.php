<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\ReadModel;

use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** Classes and groups of two records of one student. */
final readonly class MovedPlaces extends MovedRows implements MovesWork
{
    public function __construct(Connection $connection, private ClockInterface $clock)
    {
        parent::__construct($connection);
    }

    public function room(): string
    {
        return 'roster';
    }

    public function move(string $from, string $into): array
    {
        $now = Moment::stored($this->clock->now());
        $left = $this->texts(
            'UPDATE class_member SET left_at = :now WHERE student_id = :from AND left_at IS NULL RETURNING class_id',
            ['from' => $from, 'now' => $now],
        );
        $taken = $left === [] ? [] : $this->texts(
            'INSERT INTO class_member AS m (class_id, student_id, joined_at) SELECT c.id, :into, :now FROM class c WHERE c.id IN (:classes)
                ON CONFLICT (class_id, student_id) DO UPDATE SET left_at = NULL WHERE m.left_at IS NOT NULL RETURNING class_id',
            ['into' => $into, 'now' => $now, 'classes' => $left],
        );
        $groups = $this->texts('UPDATE class_group SET students = array_replace(students, CAST(:from AS uuid), CAST(:into AS uuid))
            WHERE CAST(:from AS uuid) = ANY (students) AND NOT CAST(:into AS uuid) = ANY (students) RETURNING id', [
            'from' => $from,
            'into' => $into,
        ]);

        return ['left' => $left, 'taken' => $taken, 'groups' => $groups];
    }

    public function moveBack(string $from, string $into, array $moved): void
    {
        foreach ([['left', 'left_at = NULL', $from], ['taken', 'left_at = :now', $into]] as [$which, $set, $who]) {
            $classes = self::keys($moved, $which);
            if ($classes !== []) {
                $this->run("UPDATE class_member SET $set WHERE student_id = :who AND class_id IN (:classes)", [
                    'who' => $who,
                    'classes' => $classes,
                ] + ($which === 'taken' ? ['now' => Moment::stored($this->clock->now())] : []));
            }
        }
        $groups = self::keys($moved, 'groups');
        if ($groups !== []) {
            $this->run('UPDATE class_group SET students = array_replace(students, CAST(:into AS uuid), CAST(:from AS uuid)) WHERE id IN (:groups)', [
                'from' => $from,
                'into' => $into,
                'groups' => $groups,
            ]);
        }
    }
}
