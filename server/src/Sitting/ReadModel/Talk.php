<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\Api\View\CallView;
use ChalkLadder\Server\Sitting\Api\View\NoteView;

/** What students and their teacher say to each other while there is work to do. */
final readonly class Talk extends ReadModel
{
    /** The call that waits, for a statement that knows a sitting `s`; as JSON or null. Nobody waits who has handed in. */
    public const OPEN_CALL = "(SELECT json_build_object('id', c.id, 'kind', c.kind, 'entry', c.entry, 'words', c.words, 'madeAt', c.made_at)
        FROM student_call c WHERE c.sitting_id = s.id AND c.settled_at IS NULL AND s.state = 'open')";
    private const MOST = 30;

    /** The call of a sitting that waits for the teacher. */
    public function call(string $sittingId): ?CallView
    {
        /** @var array{id: string, kind: string, entry: string, words: string, made_at: string}|null $row */
        $row = $this->row(
            'SELECT id, kind, entry, words, made_at FROM student_call WHERE sitting_id = :id AND settled_at IS NULL',
            ['id' => $sittingId],
        );

        return $row === null
            ? null
            : new CallView($row['id'], $row['kind'], $row['entry'], $row['words'], Moment::iso($row['made_at']));
    }

    /** The id of a call, where one of this name has been made in a sitting. */
    public function isMade(string $sittingId, string $callId): bool
    {
        return $this->row('SELECT 1 FROM student_call WHERE id = :id AND sitting_id = :sitting', [
            'id' => $callId,
            'sitting' => $sittingId,
        ]) !== null;
    }

    /**
     * @param list<string> $fileIds
     *
     * @return list<string> those that a teacher has spoken to this student, or to all who have the handout
     */
    public function spokenTo(string $studentId, array $fileIds): array
    {
        return $fileIds === [] ? [] : $this->texts('SELECT DISTINCT n.file_id::text FROM lesson_note n
            JOIN '.HandoutTables::GIVEN.' h ON h.id = n.handout_id AND h.student_id = :who AND h.visible
            WHERE n.file_id IN (:files) AND n.taken_at IS NULL AND (n.student_id IS NULL OR n.student_id = :who)', [
            'who' => $studentId,
            'files' => $fileIds,
        ]);
    }

    /** @return list<NoteView> to a student, or to all, since a sitting was begun; the latest first */
    public function notes(string $sittingId): array
    {
        /** @var list<array{id: string, entry: string|null, words: string, made_at: string, file_id: string|null}> $rows */
        $rows = $this->rows('SELECT n.id, n.entry, n.words, n.made_at, n.file_id FROM sitting s
            JOIN lesson_note n ON n.handout_id = s.handout_id
            AND (n.student_id IS NULL OR n.student_id = s.student_id) AND n.made_at >= s.opened_at AND n.taken_at IS NULL
            WHERE s.id = :id ORDER BY n.made_at DESC LIMIT '.self::MOST, ['id' => $sittingId]);

        return array_map(
            static fn (array $r): NoteView => new NoteView($r['id'], $r['entry'], $r['words'], Moment::iso($r['made_at']), $r['file_id']),
            $rows,
        );
    }
}
