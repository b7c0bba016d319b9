<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use ChalkLadder\Server\Handout\GroupNames;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Marking\Api\View\OutboxLineView;
use ChalkLadder\Server\Marking\Api\View\ReadyView;
use ChalkLadder\Server\Marking\Api\View\ReplyView;
use ChalkLadder\Server\Marking\Api\View\ReturnLineView;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;
use Doctrine\DBAL\Connection;

/** Whose work may go back, is back, and what students said to it. */
final readonly class ReturnList extends ReadModel
{
    private const MOST_HANDOUTS = 100;
    private const MOST_REPLIES = 50;
    private const MOST_MESSAGES = 200;

    public function __construct(Connection $connection, private Handouts $handouts, private GroupNames $groups)
    {
        parent::__construct($connection);
    }

    /** @return list<ReadyView> handouts with marked work, those with some to return first */
    public function ready(string $teamId): array
    {
        /** @var list<array{id: string, title: string, group_id: string|null, ready: int, waiting: int, returned: int}> $rows */
        $rows = $this->rows('SELECT h.id, h.title, h.group_id, s.ready, s.waiting, s.returned FROM '.HandoutTables::HANDOUTS." h
            JOIN LATERAL (SELECT count(DISTINCT x.student_id) FILTER (WHERE x.state = 'marked') AS ready,
            count(DISTINCT x.student_id) FILTER (WHERE x.state = 'handed in') AS waiting,
                count(DISTINCT x.student_id) FILTER (WHERE x.state = 'returned') AS returned FROM ".SittingTables::SITTINGS.' x
                WHERE x.handout_id = h.id) s ON true
            WHERE h.team_id = :team AND s.ready + s.returned > 0
            ORDER BY s.ready > 0 DESC, h.made_at DESC LIMIT '.self::MOST_HANDOUTS, ['team' => $teamId]);
        $classes = $this->handouts->classNames(array_column($rows, 'id'));
        $groups = $this->groups->of(array_values(array_filter(array_column($rows, 'group_id'), is_string(...))));

        return array_map(
            static fn (array $r): ReadyView => new ReadyView(
                $r['id'],
                $r['title'],
                $classes[$r['id']] ?? [],
                $groups[$r['group_id'] ?? ''] ?? null,
                $r['ready'],
                $r['waiting'],
                $r['returned'],
            ),
            $rows,
        );
    }

    /** @return list<ReplyView> what students said to returned work, the latest first */
    public function replies(string $teamId): array
    {
        /** @var list<array{sitting_id: string, handout_id: string, title: string, name: string, reply: string, replied_at: string}> $rows */
        $rows = $this->rows('SELECT s.id AS sitting_id, h.id AS handout_id, h.title, st.name, s.reply, s.replied_at
            FROM '.SittingTables::SITTINGS.' s JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id
            JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id WHERE h.team_id = :team AND s.reply IS NOT NULL
            ORDER BY s.replied_at DESC, s.id LIMIT '.self::MOST_REPLIES, ['team' => $teamId]);

        return array_map(
            static fn (array $r): ReplyView => new ReplyView(
                $r['sitting_id'],
                $r['handout_id'],
                $r['title'],
                $r['name'],
                $r['reply'],
                Moment::iso($r['replied_at']),
            ),
            $rows,
        );
    }

    /** @return list<ReturnLineView> by name */
    public function state(string $handoutId): array
    {
        /** @var list<array{id: string, name: string, open: int, ready: int, waiting: int|string, returned: int, returned_at: string|null, replied: bool}> $rows */
        $rows = $this->rows("SELECT st.id, st.name, count(*) FILTER (WHERE s.state = 'open') AS open,
            count(*) FILTER (WHERE s.state = 'marked') AS ready, coalesce(sum(w.waiting) FILTER (WHERE s.state = 'handed in'),
            0) AS waiting,
                count(*) FILTER (WHERE s.state = 'returned') AS returned, max(s.returned_at) AS returned_at,
                bool_or(s.reply IS NOT NULL) AS replied
            FROM ".SittingTables::SITTINGS.' s JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id
            LEFT JOIN LATERAL (SELECT count(*) AS waiting FROM '.SittingTables::RESPONSES.' r
            WHERE r.sitting_id = s.id AND '.SittingTables::WAITS.') w ON true
            WHERE s.handout_id = :handout GROUP BY st.id, st.name, st.name_folded
            ORDER BY st.name_folded, st.id', ['handout' => $handoutId]);

        return array_map(
            static fn (array $r): ReturnLineView => new ReturnLineView(
                $r['id'],
                $r['name'],
                $r['open'],
                $r['ready'],
                (int) $r['waiting'],
                $r['returned'],
                Moment::isoOrNull($r['returned_at']),
                $r['replied'],
            ),
            $rows,
        );
    }

    /** @return list<OutboxLineView> the latest first */
    public function outbox(string $teamId): array
    {
        /** @var list<array{id: string, name: string|null, subject: string, body: string, sender: string, sent_at: string}> $rows */
        $rows = $this->rows('SELECT o.id, st.name, o.subject, o.body, s.name AS sender, o.sent_at FROM outbox o
            JOIN '.StaffList::NAMES.' s ON s.id = o.sent_by
            LEFT JOIN '.RosterTables::STUDENTS.' st ON st.id = o.student_id WHERE o.team_id = :team
            ORDER BY o.sent_at DESC, st.name LIMIT '.self::MOST_MESSAGES, ['team' => $teamId]);

        return array_map(
            static fn (array $r): OutboxLineView => new OutboxLineView(
                $r['id'],
                $r['name'] ?? '',
                $r['subject'],
                $r['body'],
                $r['sender'],
                Moment::iso($r['sent_at']),
            ),
            $rows,
        );
    }
}
