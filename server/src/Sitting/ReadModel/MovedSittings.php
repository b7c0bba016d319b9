<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;

/** What two records of one student have sat: attempts of the one come after those of the other. */
final readonly class MovedSittings extends MovedRows implements MovesWork
{
    public function room(): string
    {
        return 'sitting';
    }

    public function move(string $from, string $into): array
    {
        $both = $this->texts("SELECT h.title FROM sitting a JOIN sitting b ON b.handout_id = a.handout_id AND b.student_id = :into
            AND b.state = 'open' JOIN ".HandoutTables::HANDOUTS." h ON h.id = a.handout_id
            WHERE a.student_id = :from AND a.state = 'open'", ['from' => $from, 'into' => $into]);
        if ($both !== []) {
            throw Problem::conflict(
                sprintf('Both are at work on “%s”.', $both[0]),
                'Take in the work of one of them first, in the Lookout.',
            );
        }
        $were = $this->texts('SELECT json_build_object(\'id\', id, \'attempt\', attempt) FROM sitting WHERE student_id = :from
            ORDER BY id', ['from' => $from]);
        $this->run('UPDATE sitting s SET student_id = :into, revision = s.revision + 1, attempt = s.attempt + coalesce(
                (SELECT max(x.attempt) FROM sitting x WHERE x.handout_id = s.handout_id AND x.student_id = :into), 0)
            WHERE s.student_id = :from', ['from' => $from, 'into' => $into]);

        return [
            'sittings' => array_map(Json::decode(...), $were),
            'notes' => $this->moveRows('lesson_note', 'student_id', $from, $into),
            'helps' => $this->moveRows('help', 'helper_id', $from, $into, 't.over_at IS NULL'),
        ];
    }

    public function moveBack(string $from, string $into, array $moved): void
    {
        $this->run('UPDATE sitting s SET student_id = :from, attempt = was.attempt, revision = s.revision + 1
            FROM json_to_recordset(CAST(:were AS json)) AS was (id uuid, attempt integer)
            WHERE s.id = was.id AND s.student_id = :into', [
            'from' => $from,
            'into' => $into,
            'were' => Json::encode($moved['sittings'] ?? []),
        ]);
        $this->moveRowsBack('lesson_note', 'student_id', $from, $into, self::keys($moved, 'notes'));
        $this->moveRowsBack('help', 'helper_id', $from, $into, self::keys($moved, 'helps'));
    }
}
