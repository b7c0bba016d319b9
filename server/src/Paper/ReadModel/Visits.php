<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Who is at which paper: said again every few seconds by each open desk, so that it ends by itself. */
final readonly class Visits extends ReadModel
{
    /** Seconds after which a desk that says nothing is closed, or has lost its network. */
    private const STAYS = 15;

    /**
     * Says where somebody is; null where the team has no such paper. One statement, as it comes often.
     *
     * @return array{version: int, others: list<array{name: string, part: string}>}|null up to which version the draft has come, and who
     *                                                                                  else is there
     */
    public function here(StaffUser $who, string $paperId, string $part, \DateTimeImmutable $now): ?array
    {
        /** @var array{version: int, others: string}|null $row */
        $row = $this->row("WITH mine AS (
                INSERT INTO paper_visit (paper_id, staff_id, part, seen_at) SELECT p.id, :who, :part, :now FROM paper p
                WHERE p.id = :id AND p.team_id = :team
                ON CONFLICT (paper_id, staff_id) DO UPDATE SET part = excluded.part, seen_at = excluded.seen_at
            )
            SELECT p.version, coalesce((
                SELECT json_agg(json_build_object('name', s.name, 'part', v.part) ORDER BY s.name) FROM paper_visit v
                JOIN ".StaffList::NAMES." s ON s.id = v.staff_id WHERE v.paper_id = p.id AND v.staff_id <> :who AND v.seen_at > :since
            ), '[]') AS others FROM paper p WHERE p.id = :id AND p.team_id = :team", [
            'who' => $who->id, 'team' => $who->teamId, 'id' => $paperId, 'part' => $part, 'now' => Moment::stored($now),
            'since' => Moment::stored($now->modify(sprintf('-%d seconds', self::STAYS))),
        ]);
        if ($row === null) {
            return null;
        }
        /** @var list<array{name: string, part: string}> $others as the statement builds them */
        $others = Json::decode($row['others']);

        return ['version' => $row['version'], 'others' => $others];
    }
}
