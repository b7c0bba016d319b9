<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use Symfony\Component\Uid\Uuid;

/** Reads the trail: who changed what in a team, and what of it can still be taken back. */
final readonly class Trails
{
    private const STRETCH = 200;
    private const SUBJECTS = ['item', 'paper', 'class', 'student', 'handout', 'grouping', 'skill', 'misconception'];

    public function __construct(private Database $database)
    {
    }

    /**
     * @param string $by     a member of staff, or '' for all
     * @param string $kind   of subject, or '' for all
     * @param string $before the change the stretch ends before, or '' for the latest
     */
    public function list(string $teamId, string $by, string $kind, string $before): TrailView
    {
        $where = ['t.team_id = :team'];
        $parameters = ['team' => $teamId];
        if (Uuid::isValid($by)) {
            $where[] = 't.staff_id = :by';
            $parameters['by'] = $by;
        }
        if (in_array($kind, self::SUBJECTS, true)) {
            // A key is taken back on an edition, and both belong to what was handed out.
            $where[] = $kind === 'handout' ? "t.subject_kind IN ('handout', 'edition')" : 't.subject_kind = :kind';
            $parameters += $kind === 'handout' ? [] : ['kind' => $kind];
        }
        if (Uuid::isValid($before)) {
            $where[] = '(t.at, t.id) < (SELECT b.at, b.id FROM trail b WHERE b.id = :before AND b.team_id = :team)';
            $parameters['before'] = $before;
        }
        $rows = $this->database->rows('SELECT t.id, t.at, t.act, t.subject_kind, t.subject_id, t.detail, t.staff_id, s.name AS staff FROM trail t JOIN staff s ON s.id = t.staff_id
            WHERE '.implode(' AND ', $where).' ORDER BY t.at DESC, t.id DESC LIMIT '.(self::STRETCH + 1), $parameters);
        $more = count($rows) > self::STRETCH;
        $rows = array_slice($rows, 0, self::STRETCH);
        $staff = $this->database->rows('SELECT id, name FROM staff WHERE team_id = :team ORDER BY name', ['team' => $teamId]);

        return new TrailView($this->lines($teamId, $rows), array_map(static fn (Row $r): StaffNameView => new StaffNameView($r->text('id'), $r->text('name')), $staff), $more ? $rows[count($rows) - 1]->text('id') : null);
    }

    /**
     * A paper saves itself every few seconds, so what is alike in a row is one line.
     *
     * @param list<Row> $rows
     *
     * @return list<TrailLineView>
     */
    private function lines(string $teamId, array $rows): array
    {
        $things = $this->things($teamId, $rows);
        $lines = [];
        for ($i = 0; $i < count($rows); $i += $times) {
            $row = $rows[$i];
            $times = 1;
            while ($row->text('act') === 'change' && isset($rows[$i + $times]) && self::alike($row, $rows[$i + $times])) {
                ++$times;
            }
            [$did, $detail] = self::words($row, $things);
            $lines[] = new TrailLineView($row->text('id'), $row->time('at'), $row->text('staff'), $did, ($things[$row->text('subject_id')] ?? null)?->text('name') ?? '', $row->text('subject_kind'), $row->text('subject_id'), $detail, $times, self::undo($row, $things));
        }

        return $lines;
    }

    /**
     * What the lines speak of, by its present name, and whether it is away now: archived, off the roster, or for a key
     * change, in force and the latest of its question.
     *
     * @param list<Row> $rows
     *
     * @return array<string, Row> by id; a place on a roster by `class|student`
     */
    private function things(string $teamId, array $rows): array
    {
        $ids = [];
        foreach ($rows as $row) {
            $ids[$row->text('subject_id')] = true;
            foreach (['change', 'class', 'student', 'group'] as $key) {
                $ids[self::idOf($row, $key)] = true;
            }
        }
        $things = [];
        foreach ($this->database->rows("SELECT id::text, title AS name, archived_at IS NOT NULL AS away FROM item WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, title, archived_at IS NOT NULL FROM paper WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT e.id::text, p.title, false FROM edition e JOIN paper p ON p.id = e.paper_id WHERE e.team_id = :team AND e.id IN (:ids)
            UNION ALL SELECT id::text, title, false FROM handout WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM class WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM student WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, archived_at IS NOT NULL FROM grouping WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT gg.id::text, gg.name, false FROM grouping_group gg JOIN grouping g ON g.id = gg.grouping_id WHERE g.team_id = :team AND gg.id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM skill WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM misconception WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT m.class_id || '|' || m.student_id, '', m.left_at IS NOT NULL FROM class_member m JOIN class c ON c.id = m.class_id WHERE c.team_id = :team AND m.class_id IN (:ids) AND m.student_id IN (:ids)
            UNION ALL SELECT k.id::text, '', k.undone_at IS NULL AND NOT EXISTS (SELECT 1 FROM key_change l WHERE l.edition_id = k.edition_id AND l.entry = k.entry AND l.undone_at IS NULL AND l.made_at > k.made_at) FROM key_change k JOIN edition e ON e.id = k.edition_id WHERE e.team_id = :team AND k.id IN (:ids)", ['team' => $teamId, 'ids' => array_values(array_filter(array_map(strval(...), array_keys($ids)), Uuid::isValid(...)))]) as $row) {
            $things[$row->text('id')] = $row;
        }

        return $things;
    }

    private static function idOf(Row $row, string $key): string
    {
        $detail = $row->json('detail');

        return is_string($detail[$key] ?? null) ? $detail[$key] : '';
    }

    private static function alike(Row $a, Row $b): bool
    {
        foreach (['act', 'subject_id', 'staff_id'] as $column) {
            if ($a->text($column) !== $b->text($column)) {
                return false;
            }
        }

        return substr($a->time('at'), 0, 10) === substr($b->time('at'), 0, 10);
    }

    /**
     * @param array<string, Row> $things
     *
     * @return array{string, string} what was done, and what else is known of it
     */
    private static function words(Row $row, array $things): array
    {
        $name = static fn (string $key): string => ($things[self::idOf($row, $key)] ?? null)?->text('name') ?? '';
        $detail = $row->json('detail');
        $number = static fn (string $key): int => is_int($detail[$key] ?? null) ? $detail[$key] : 0;
        $question = $number('question') > 0 ? ' to question '.$number('question') : '';
        $students = $number('students') === 1 ? '1 student' : $number('students').' students';

        return match ($row->text('act').' '.$row->text('subject_kind')) {
            'add item' => ['wrote the question', ''],
            'change item' => ['changed the question', ''],
            'archive item' => ['archived the question', ''],
            'restore item' => ['restored the question', ''],
            'add paper' => ['began the paper', ''],
            'change paper' => ['worked on the paper', ''],
            'publish paper' => ['published edition '.$number('edition').' of', ''],
            'archive paper' => ['archived the paper', ''],
            'restore paper' => ['restored the paper', ''],
            'add class' => ['made the class', ''],
            'add students class' => ['added '.($number('count') === 1 ? '1 student' : $number('count').' students').' to', ''],
            'print slips class' => ['laid out slips with PINs for', ''],
            'reset PIN student' => ['reset the PIN of', ''],
            'leave student' => ['took', 'out of '.$name('class')],
            'rejoin student' => ['put', 'back into '.$name('class')],
            'hand out handout' => ['handed out', 'to '.$students],
            'change handout' => [($detail['visible'] ?? true) === true ? 'changed the conditions of' : 'hid', ''],
            'close handout' => ['closed', ''],
            'reopen handout' => ['opened again', ''],
            'return handout' => ['returned', 'to '.$students],
            'take back handout' => ['took back', 'from '.$students],
            'change key handout' => ['changed the key'.$question.' of', '· '.$number('gains').' gained, '.$number('loses').' lost'],
            'undo key edition' => ['took back the new key'.$question.' of', ''],
            'keep grouping grouping' => ['kept the grouping', $number('groups') === 1 ? 'as 1 group' : 'in '.$number('groups').' groups'],
            'archive grouping' => ['archived the grouping', ''],
            'restore grouping' => ['restored the grouping', ''],
            'move grouping' => ['moved '.$name('student').' in', 'to “'.$name('group').'”'],
            'add skill' => ['named the skill', ''],
            'add misconception' => ['named the misconception', ''],
            default => [$row->text('act'), ''],
        };
    }

    /** @param array<string, Row> $things */
    private static function undo(Row $row, array $things): ?TrailUndoView
    {
        [$thing, $undo] = match ($row->text('act')) {
            'change key' => [self::idOf($row, 'change'), new TrailUndoView('key', self::idOf($row, 'change'), null)],
            'leave' => [self::idOf($row, 'class').'|'.$row->text('subject_id'), new TrailUndoView('student', $row->text('subject_id'), self::idOf($row, 'class'))],
            'archive' => [$row->text('subject_id'), new TrailUndoView($row->text('subject_kind'), $row->text('subject_id'), null)],
            default => ['', null],
        };

        return ($things[$thing] ?? null)?->bool('away') === true ? $undo : null;
    }
}
