<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Handout\BegunWork;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;

/** What two records of one student have been handed. Told last: what each has sat and where they are stands by then. */
#[AsTaggedItem(priority: -1)]
final readonly class MovedHandouts extends MovedRows implements MovesWork
{
    private const COLUMNS = 'handout_id, extra_minutes, held_at, held_words';

    public function __construct(Connection $connection, private BegunWork $begun)
    {
        parent::__construct($connection);
    }

    public function room(): string
    {
        return 'handout';
    }

    public function move(string $from, string $into): array
    {
        $given = $this->texts('INSERT INTO handout_student (student_id, '.self::COLUMNS.') SELECT :into, '.self::COLUMNS.' FROM handout_student
            WHERE student_id = :from ON CONFLICT DO NOTHING RETURNING handout_id', ['from' => $from, 'into' => $into]);
        $had = $this->texts(
            'WITH gone AS (DELETE FROM handout_student WHERE student_id = :from RETURNING '.self::COLUMNS.') SELECT row_to_json(gone) FROM gone',
            ['from' => $from],
        );

        return ['had' => array_map(Json::decode(...), $had), 'given' => $given];
    }

    /** What the other was handed by it alone goes back, unless they have begun it since, or a class of theirs has it. */
    public function moveBack(string $from, string $into, array $moved): void
    {
        $this->run('INSERT INTO handout_student (student_id, '.self::COLUMNS.')
            SELECT :from, '.self::COLUMNS.' FROM json_populate_recordset(NULL::handout_student, CAST(:had AS json))
            ON CONFLICT DO NOTHING', ['from' => $from, 'had' => Json::encode($moved['had'] ?? [])]);
        $given = self::keys($moved, 'given');
        $untouched = array_values(array_diff($given, $this->begun->among($into, $given)));
        if ($untouched !== []) {
            $this->run('DELETE FROM handout_student hs WHERE hs.student_id = :into AND hs.handout_id IN (:untouched)
                AND NOT EXISTS (SELECT 1 FROM handout_class hc JOIN '.RosterTables::MEMBERS.' m ON m.class_id = hc.class_id
                    AND m.student_id <> ALL(hc.without)
                    WHERE hc.handout_id = hs.handout_id AND m.student_id = hs.student_id)', ['into' => $into, 'untouched' => $untouched]);
        }
    }
}
