<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;

/** What two records of one student have been handed. */
final readonly class MovedHandouts extends MovedRows implements MovesWork
{
    private const COLUMNS = 'handout_id, extra_minutes, held_at, held_words';

    public function room(): string
    {
        return 'handout';
    }

    public function move(string $from, string $into): array
    {
        $this->run('INSERT INTO handout_student (student_id, '.self::COLUMNS.') SELECT :into, '.self::COLUMNS.' FROM handout_student
            WHERE student_id = :from ON CONFLICT DO NOTHING', ['from' => $from, 'into' => $into]);
        $had = $this->texts(
            'WITH gone AS (DELETE FROM handout_student WHERE student_id = :from RETURNING '.self::COLUMNS.') SELECT row_to_json(gone) FROM gone',
            ['from' => $from],
        );

        return ['had' => array_map(Json::decode(...), $had)];
    }

    /** What the other was handed by it stays with them too: they may have begun it since. */
    public function moveBack(string $from, string $into, array $moved): void
    {
        $this->run('INSERT INTO handout_student (student_id, '.self::COLUMNS.')
            SELECT :from, '.self::COLUMNS.' FROM json_populate_recordset(NULL::handout_student, CAST(:had AS json))
            ON CONFLICT DO NOTHING', ['from' => $from, 'had' => Json::encode($moved['had'] ?? [])]);
    }
}
