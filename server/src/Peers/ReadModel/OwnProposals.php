<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Core\Item\ProposedQuestion;
use ChalkLadder\Server\Peers\Api\View\OwnInvitationView;
use ChalkLadder\Server\Peers\Api\View\OwnProposalView;
use ChalkLadder\Server\Peers\Api\View\PeerQuestionView;
use ChalkLadder\Server\Peers\ProposalState;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use Doctrine\DBAL\Connection;

/** What a student may know of invitations: their classes', their own questions, and those of others that a teacher shows. */
final readonly class OwnProposals extends ReadModel
{
    private const MOST = 60;

    /** Of the student `:student`'s classes. */
    private const THEIRS = 'i.class_id IN (SELECT class_id FROM '.RosterTables::MEMBERS.' m WHERE m.student_id = :student)';

    public function __construct(private ProposalList $proposals, Connection $connection)
    {
        parent::__construct($connection);
    }

    public function isInvited(string $studentId, string $invitationId): bool
    {
        return $this->row(
            'SELECT 1 FROM invitation i WHERE i.id = :id AND '.self::THEIRS,
            ['id' => $invitationId, 'student' => $studentId],
        ) !== null;
    }

    /** @return list<OwnInvitationView> open ones first, the newest at the top */
    public function of(string $studentId): array
    {
        /** @var list<array{id: string, topic: string, open: bool}> $invitations */
        $invitations = $this->rows('SELECT i.id, i.topic, i.closed_at IS NULL AS open FROM invitation i WHERE '.self::THEIRS.'
            ORDER BY i.closed_at IS NOT NULL, i.opened_at DESC, i.id LIMIT '.self::MOST, ['student' => $studentId]);
        /** @var list<array{id: string, invitation_id: string, own: bool, name: string, content: string, version: int, state: string, words: string, shown: bool, named: bool, picked: int|null}> $rows */
        $rows = $invitations === [] ? [] : $this->rows('SELECT p.id, p.invitation_id, p.student_id = :student AS own, st.name, p.content,
                p.version, p.state, p.words, p.shown, p.named, a.picked
            FROM proposal p JOIN '.RosterTables::STUDENTS.' st ON st.id = p.student_id
            LEFT JOIN proposal_answer a ON a.proposal_id = p.id AND a.version = p.version AND a.student_id = :student
            WHERE p.invitation_id IN (:invitations) AND (p.student_id = :student OR p.shown) ORDER BY p.written_at, p.id', [
            'student' => $studentId, 'invitations' => array_column($invitations, 'id'),
        ]);
        $taken = $this->proposals->taken(array_column(array_filter($rows, static fn (array $r): bool => $r['own'] && $r['shown']), 'id'));
        $own = $others = [];
        foreach ($rows as $r) {
            $question = ProposedQuestion::read(Json::decode($r['content']));
            if ($r['own']) {
                $own[$r['invitation_id']][] = new OwnProposalView(
                    $r['id'],
                    $question->toArray(),
                    $r['version'],
                    $r['state'],
                    $r['words'],
                    ProposalState::from($r['state'])->mayBeRewritten($r['shown']),
                    $r['shown'],
                    $r['named'],
                    $r['shown'] ? ProposalList::byOption($question, $taken[$r['id']] ?? []) : [],
                );
            } else {
                $by = $r['named'] ? $r['name'] : null;
                $others[$r['invitation_id']][] = self::toPeer($question, $r['id'], $r['version'], $by, $r['picked']);
            }
        }
        $views = array_map(static fn (array $i): OwnInvitationView => new OwnInvitationView(
            $i['id'],
            $i['topic'],
            $i['open'],
            $own[$i['id']] ?? [],
            $others[$i['id']] ?? [],
        ), $invitations);

        $isWorthSeeing = static fn (OwnInvitationView $v): bool => $v->open || $v->own !== [] || $v->others !== [];

        return array_values(array_filter($views, $isWorthSeeing));
    }

    private static function toPeer(ProposedQuestion $question, string $id, int $version, ?string $by, ?int $picked): PeerQuestionView
    {
        return new PeerQuestionView(
            $id,
            $version,
            $by,
            $question->prompt,
            array_column($question->options, 'text'),
            $picked,
            $picked === null ? null : $question->key,
            $picked === null ? '' : $question->options[$picked]['why'] ?? '',
            $picked === null ? '' : $question->because,
        );
    }
}
