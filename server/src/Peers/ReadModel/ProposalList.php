<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Core\Item\ProposedQuestion;
use ChalkLadder\Server\Peers\Api\View\ProposalView;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;

/** The questions of an invitation, as its teacher reads them. */
final readonly class ProposalList extends ReadModel
{
    /** @return list<ProposalView> those that wait for a teacher first, each kind as it came */
    public function of(string $invitationId): array
    {
        /** @var list<array{id: string, student: string, content: string, state: string, words: string, shown: bool, named: bool, item_id: string|null, written_at: string}> $rows */
        $rows = $this->rows('SELECT p.id, st.name AS student, p.content, p.state, p.words, p.shown, p.named, p.item_id, p.written_at
            FROM proposal p JOIN '.RosterTables::STUDENTS." st ON st.id = p.student_id WHERE p.invitation_id = :id
            ORDER BY array_position(ARRAY['waiting', 'sent back', 'let in'], p.state), p.written_at, p.id", ['id' => $invitationId]);
        $taken = $this->taken(array_column($rows, 'id'));

        return array_map(static function (array $r) use ($taken): ProposalView {
            $question = ProposedQuestion::read(Json::decode($r['content']));

            return new ProposalView(
                $r['id'],
                $r['student'],
                $question->toArray(),
                $r['state'],
                $r['words'],
                $r['shown'],
                $r['named'],
                $r['item_id'],
                Moment::iso($r['written_at']),
                self::byOption($question, $taken[$r['id']] ?? []),
            );
        }, $rows);
    }

    /**
     * How many took each option of what each says now.
     *
     * @param list<string> $ids
     *
     * @return array<string, array<int, int>> number by place of the option, by proposal
     */
    public function taken(array $ids): array
    {
        /** @var list<array{id: string, picked: int, n: int}> $rows */
        $rows = $ids === [] ? [] : $this->rows('SELECT a.proposal_id AS id, a.picked, count(*) AS n FROM proposal_answer a
            JOIN proposal p ON p.id = a.proposal_id AND p.version = a.version WHERE a.proposal_id IN (:ids) GROUP BY 1, 2', ['ids' => $ids]);
        $taken = [];
        foreach ($rows as $row) {
            $taken[$row['id']][$row['picked']] = $row['n'];
        }

        return $taken;
    }

    /**
     * @param array<int, int> $taken
     *
     * @return list<int>
     */
    public static function byOption(ProposedQuestion $question, array $taken): array
    {
        return array_map(static fn (int $i): int => $taken[$i] ?? 0, array_keys($question->options));
    }

    /** How many a student has written for an invitation. */
    public function countOf(string $invitationId, string $studentId): int
    {
        return count($this->texts(
            'SELECT id::text FROM proposal WHERE invitation_id = :invitation AND student_id = :student',
            ['invitation' => $invitationId, 'student' => $studentId],
        ));
    }
}
