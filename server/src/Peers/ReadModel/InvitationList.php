<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Peers\Api\View\InvitationRowView;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;

final readonly class InvitationList extends ReadModel
{
    private const MOST = 200;

    /** @return list<InvitationRowView> open ones first, the newest at the top */
    public function of(string $teamId, ?string $id = null): array
    {
        /** @var list<array{id: string, topic: string, class: string, by: string, opened_at: string, open: bool, waiting: int, sent_back: int, let_in: int}> $rows */
        $rows = $this->rows("SELECT i.id, i.topic, c.name AS class, s.name AS by, i.opened_at, i.closed_at IS NULL AS open,
                count(p.id) FILTER (WHERE p.state = 'waiting') AS waiting,
                count(p.id) FILTER (WHERE p.state = 'sent back') AS sent_back,
                count(p.id) FILTER (WHERE p.state = 'let in') AS let_in
            FROM invitation i JOIN ".RosterTables::CLASSES.' c ON c.id = i.class_id JOIN '.StaffList::NAMES.' s ON s.id = i.opened_by
            LEFT JOIN proposal p ON p.invitation_id = i.id
            WHERE i.team_id = :team'.($id === null ? '' : ' AND i.id = :id').'
            GROUP BY i.id, c.name, s.name ORDER BY i.closed_at IS NOT NULL, i.opened_at DESC, i.id LIMIT '.self::MOST, [
            'team' => $teamId,
        ] + ($id === null ? [] : ['id' => $id]));

        return array_map(static fn (array $r): InvitationRowView => new InvitationRowView(
            $r['id'],
            $r['topic'],
            $r['class'],
            $r['by'],
            Moment::iso($r['opened_at']),
            $r['open'],
            $r['waiting'],
            $r['sent_back'],
            $r['let_in'],
        ), $rows);
    }

    /** Until the act ends, nobody else opens or closes one of the team's. */
    public function hold(string $teamId): void
    {
        $this->holdName("invitations $teamId");
    }

    public function openOf(string $teamId): int
    {
        return count($this->texts('SELECT id::text FROM invitation WHERE team_id = :team AND closed_at IS NULL', ['team' => $teamId]));
    }
}
