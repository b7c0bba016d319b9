<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Lookout\LessonFacts;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

final readonly class WallFacts extends ReadModel
{
    public function of(string $handoutId): LessonFacts
    {
        $codes = $this->pairs('SELECT c.name, c.code FROM '.HandoutTables::CLASSES.' hc
            JOIN '.RosterTables::CODES.' c ON c.id = hc.class_id WHERE hc.handout_id = :id ORDER BY c.name', ['id' => $handoutId]);
        /** @var array{expected: int, joined: int, done: int} $row */
        $row = $this->row('SELECT count(*) AS expected, count(s.id) AS joined, count(s.id) FILTER (WHERE '.SittingTables::OVER.') AS done
            FROM '.HandoutTables::STUDENTS.' hs LEFT JOIN LATERAL (SELECT id, state FROM '.SittingTables::SITTINGS.' x
            WHERE x.handout_id = hs.handout_id AND x.student_id = hs.student_id ORDER BY x.attempt DESC LIMIT 1) s ON true
            WHERE hs.handout_id = :id', ['id' => $handoutId]);

        return new LessonFacts($codes, $row['expected'], $row['joined'], $row['done']);
    }

    /** Two teachers who begin a wall at once do so one after the other. */
    public function hold(string $handoutId): void
    {
        $this->holdName('wall'.$handoutId);
    }
}
