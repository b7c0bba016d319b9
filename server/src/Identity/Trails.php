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
        $rows = $this->database->rows("SELECT t.id, t.at, t.act, t.subject_kind, t.subject_id, t.detail, t.staff_id, s.name AS staff,
                coalesce(i.title, p.title, ep.title, h.title, c.name, st.name, g.name, sk.name, mi.name, '') AS subject, cc.name AS class, ms.name AS moved, mg.name AS moved_to,
                (t.act = 'archive' AND coalesce(i.archived_at, p.archived_at, g.archived_at) IS NOT NULL) OR (t.act = 'leave' AND cm.left_at IS NOT NULL)
                    OR (t.act = 'change key' AND k.undone_at IS NULL AND NOT EXISTS (SELECT 1 FROM key_change l WHERE l.edition_id = k.edition_id AND l.entry = k.entry AND l.undone_at IS NULL AND l.made_at > k.made_at)) AS undoable
            FROM trail t JOIN staff s ON s.id = t.staff_id
            LEFT JOIN item i ON t.subject_kind = 'item' AND i.id = t.subject_id
            LEFT JOIN paper p ON t.subject_kind = 'paper' AND p.id = t.subject_id
            LEFT JOIN edition e ON t.subject_kind = 'edition' AND e.id = t.subject_id LEFT JOIN paper ep ON ep.id = e.paper_id
            LEFT JOIN handout h ON t.subject_kind = 'handout' AND h.id = t.subject_id
            LEFT JOIN class c ON t.subject_kind = 'class' AND c.id = t.subject_id
            LEFT JOIN student st ON t.subject_kind = 'student' AND st.id = t.subject_id
            LEFT JOIN grouping g ON t.subject_kind = 'grouping' AND g.id = t.subject_id
            LEFT JOIN skill sk ON t.subject_kind = 'skill' AND sk.id = t.subject_id
            LEFT JOIN misconception mi ON t.subject_kind = 'misconception' AND mi.id = t.subject_id
            LEFT JOIN class_member cm ON t.subject_kind = 'student' AND cm.student_id = t.subject_id AND cm.class_id::text = t.detail->>'class' LEFT JOIN class cc ON cc.id = cm.class_id
            LEFT JOIN student ms ON t.act = 'move' AND ms.id::text = t.detail->>'student' LEFT JOIN grouping_group mg ON t.act = 'move' AND mg.id::text = t.detail->>'group'
            LEFT JOIN key_change k ON t.act = 'change key' AND k.id::text = t.detail->>'change'
            WHERE ".implode(' AND ', $where).' ORDER BY t.at DESC, t.id DESC LIMIT '.(self::STRETCH + 1), $parameters);
        $more = count($rows) > self::STRETCH;
        $rows = array_slice($rows, 0, self::STRETCH);
        $staff = $this->database->rows('SELECT id, name FROM staff WHERE team_id = :team ORDER BY name', ['team' => $teamId]);

        return new TrailView($this->lines($rows), array_map(static fn (Row $r): StaffNameView => new StaffNameView($r->text('id'), $r->text('name')), $staff), $more ? $rows[count($rows) - 1]->text('id') : null);
    }

    /**
     * A paper saves itself every few seconds, so what is alike in a row is one line.
     *
     * @param list<Row> $rows
     *
     * @return list<TrailLineView>
     */
    private function lines(array $rows): array
    {
        $lines = [];
        for ($i = 0; $i < count($rows); $i += $times) {
            $row = $rows[$i];
            $times = 1;
            while ($row->text('act') === 'change' && isset($rows[$i + $times]) && self::alike($row, $rows[$i + $times])) {
                ++$times;
            }
            [$did, $detail] = self::words($row);
            $lines[] = new TrailLineView($row->text('id'), $row->time('at'), $row->text('staff'), $did, $row->text('subject'), $row->text('subject_kind'), $row->text('subject_id'), $detail, $times, $row->bool('undoable') ? self::undo($row) : null);
        }

        return $lines;
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

    /** @return array{string, string} what was done, and what else is known of it */
    private static function words(Row $row): array
    {
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
            'leave student' => ['took', 'out of '.($row->textOrNull('class') ?? 'the class')],
            'rejoin student' => ['put', 'back into '.($row->textOrNull('class') ?? 'the class')],
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
            'move grouping' => ['moved '.($row->textOrNull('moved') ?? 'a student').' in', 'to “'.($row->textOrNull('moved_to') ?? '').'”'],
            'add skill' => ['named the skill', ''],
            'add misconception' => ['named the misconception', ''],
            default => [$row->text('act'), ''],
        };
    }

    private static function undo(Row $row): TrailUndoView
    {
        $detail = $row->json('detail');
        $of = static fn (string $key): string => is_string($detail[$key] ?? null) ? $detail[$key] : '';

        return match ($row->text('act')) {
            'change key' => new TrailUndoView('key', $of('change'), null),
            'leave' => new TrailUndoView('student', $row->text('subject_id'), $of('class')),
            default => new TrailUndoView($row->text('subject_kind'), $row->text('subject_id'), null),
        };
    }
}
