<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Symfony\Component\Uid\Uuid;

final readonly class TrailList extends ReadModel
{
    private const SUBJECTS = ['item', 'paper', 'class', 'student', 'handout', 'grouping', 'skill', 'misconception'];

    /**
     * The latest entries first.
     *
     * @param string $by     a member of staff, or '' for all
     * @param string $kind   of subject, or '' for all
     * @param string $before the entry the stretch ends before, or '' for the latest
     *
     * @return list<TrailLine>
     */
    public function stretch(string $teamId, string $by, string $kind, string $before, int $most): array
    {
        $where = ['t.team_id = :team'];
        $parameters = ['team' => $teamId, 'most' => $most];
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
        /** @var list<array{id: string, at: string, act: string, subject_kind: string, subject_id: string, detail: string, staff_id: string, staff: string}> $rows */
        $rows = $this->rows('SELECT t.id, t.at, t.act, t.subject_kind, t.subject_id, t.detail, t.staff_id, s.name AS staff
            FROM trail t JOIN staff s ON s.id = t.staff_id
            WHERE '.implode(' AND ', $where).' ORDER BY t.at DESC, t.id DESC LIMIT :most', $parameters);

        return array_map(
            static fn (array $r): TrailLine => new TrailLine(
                $r['id'],
                Moment::iso($r['at']),
                $r['act'],
                $r['subject_kind'],
                $r['subject_id'],
                Json::decode($r['detail']),
                $r['staff_id'],
                $r['staff'],
            ),
            $rows,
        );
    }
}
