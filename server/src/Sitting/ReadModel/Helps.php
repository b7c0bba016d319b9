<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Api\View\HelperView;
use ChalkLadder\Server\Sitting\Api\View\HelpLineView;
use ChalkLadder\Server\Sitting\Api\View\HelpView;

/**
 * Who helps whom, and what they say to each other.
 *
 * @phpstan-type HelpRow array{id: string, sitting_id: string, entry: string, try: int, helped_id: string, helped_as: string, helper_id: string, helper_as: string, asked_at: string, taken_at: string|null, over_by: string|null, is_on: bool, lines: string}
 */
final readonly class Helps extends ReadModel
{
    /** Whether a help `p` of a sitting `s` goes on: nobody has stopped it, and the one who is helped is at work. */
    private const ON = "(p.over_at IS NULL AND s.state = 'open')";
    private const HELPS = 'SELECT p.id, p.sitting_id, p.entry, p.try, s.student_id AS helped_id, p.helped_as, p.helper_id, p.helper_as,
        p.asked_at, p.taken_at, p.over_by, '.self::ON." AS is_on,
        (SELECT coalesce(json_agg(json_build_array(l.id, l.by_helper, l.words, l.said_at, l.held, l.let_at IS NOT NULL)
            ORDER BY l.said_at, l.id), '[]') FROM help_line l WHERE l.help_id = p.id) AS lines
        FROM help p JOIN sitting s ON s.id = p.sitting_id";
    private const MOST = 100;
    private const MOST_HELPERS = 40;

    /** @return list<HelpView> the latest first */
    public function ofHandout(string $handoutId): array
    {
        /** @var list<HelpRow> $rows */
        $rows = $this->rows(
            self::HELPS.' WHERE p.handout_id = :id ORDER BY p.asked_at DESC, p.id LIMIT '.self::MOST,
            ['id' => $handoutId],
        );

        return array_map(self::view(...), $rows);
    }

    /**
     * The help that a student gives or has, as they work on one of their sittings or have handed it in.
     *
     * @return array{HelpView, string, int}|null with the sitting of the one who is helped, and the try
     */
    public function ofStudent(string $sittingId): ?array
    {
        /** @var HelpRow|null $row */
        $row = $this->row(self::HELPS.' JOIN sitting own ON own.id = :id WHERE '.self::ON.' AND (p.sitting_id = own.id
            OR (p.handout_id = own.handout_id AND p.helper_id = own.student_id)) ORDER BY p.sitting_id = own.id DESC LIMIT 1', [
            'id' => $sittingId,
        ]);

        return $row === null ? null : [self::view($row), $row['sitting_id'], $row['try']];
    }

    /** @return list<string> ids of helps that nobody has stopped, of a sitting or by a student */
    public function notStopped(string $handoutId, string $sittingId, string $helperId): array
    {
        return $this->texts('SELECT id FROM help WHERE handout_id = :handout AND over_at IS NULL
            AND (sitting_id = :sitting OR helper_id = :helper) ORDER BY id', [
            'handout' => $handoutId,
            'sitting' => $sittingId,
            'helper' => $helperId,
        ]);
    }

    public function isAsked(string $handoutId, string $helpId): bool
    {
        return $this->row('SELECT 1 FROM help WHERE id = :id AND handout_id = :handout', ['id' => $helpId, 'handout' => $handoutId]) !== null;
    }

    /**
     * Who has a question right and neither helps nor is helped. Of several attempts and tries any will do.
     *
     * @return list<HelperView> who has handed in first, then by name
     */
    public function helpers(string $handoutId, string $entry, string $exceptSitting): array
    {
        /** @var list<array{id: string, name: string, done: bool}> $rows */
        $rows = $this->rows('SELECT st.id, st.name, bool_and('.SittingTables::OVER.') AS done FROM sitting s
            JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id
            JOIN '.HandoutTables::STUDENTS.' hs ON hs.handout_id = s.handout_id AND hs.student_id = s.student_id
            WHERE s.handout_id = :handout AND s.student_id <> (SELECT x.student_id FROM sitting x WHERE x.id = :except)
            AND EXISTS (SELECT 1 FROM sitting y JOIN '.SittingTables::RESPONSES.' r ON r.sitting_id = y.id
                WHERE y.handout_id = s.handout_id AND y.student_id = s.student_id AND r.entry = :entry AND '.SittingTables::CREDIT." = '1')
            AND st.id NOT IN (SELECT unnest(ARRAY[p.helper_id, s.student_id]) FROM help p JOIN sitting s ON s.id = p.sitting_id
                WHERE p.handout_id = :handout AND ".self::ON.')
            GROUP BY st.id, st.name, st.name_folded ORDER BY done DESC, st.name_folded, st.id LIMIT '.self::MOST_HELPERS, [
            'handout' => $handoutId,
            'entry' => $entry,
            'except' => $exceptSitting,
        ]);

        return array_map(static fn (array $r): HelperView => new HelperView($r['id'], $r['name'], $r['done']), $rows);
    }

    /** @return list<string> names of all who have been handed a handout */
    public function names(string $handoutId): array
    {
        return $this->texts('SELECT st.name FROM '.HandoutTables::STUDENTS.' hs JOIN '.RosterTables::STUDENTS.' st ON st.id = hs.student_id
            WHERE hs.handout_id = :id', ['id' => $handoutId]);
    }

    /**
     * @param list<string> $students
     *
     * @return list<string> ids of their sittings of a handout
     */
    public function sittings(string $handoutId, array $students): array
    {
        return $this->texts('SELECT id FROM sitting WHERE handout_id = :handout AND student_id IN (:students) ORDER BY id', [
            'handout' => $handoutId,
            'students' => $students,
        ]);
    }

    /** @param HelpRow $row */
    private static function view(array $row): HelpView
    {
        /** @var list<array{string, bool, string, string, string|null, bool}> $lines as the query builds them */
        $lines = Json::decode($row['lines']);

        return new HelpView(
            $row['id'],
            $row['entry'],
            $row['helped_id'],
            $row['helped_as'],
            $row['helper_id'],
            $row['helper_as'],
            !$row['is_on'] ? 'over' : ($row['taken_at'] === null ? 'asked' : 'on'),
            $row['over_by'],
            Moment::iso($row['asked_at']),
            array_map(self::line(...), $lines),
        );
    }

    /** @param array{string, bool, string, string, string|null, bool} $line as the query builds it */
    private static function line(array $line): HelpLineView
    {
        [$id, $byHelper, $words, $saidAt, $held, $let] = $line;

        return new HelpLineView($id, $byHelper, $words, Moment::iso($saidAt), $held, $let);
    }
}
