<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Handout\Api\View\HandoutView;
use ChalkLadder\Server\Handout\GroupNames;
use ChalkLadder\Server\Handout\Progress;
use ChalkLadder\Server\Handout\ProgressOfWork;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use Doctrine\DBAL\Connection;

final readonly class HandoutList extends ReadModel implements TrailSubjects
{
    /** Names of the classes that a handout `h` was given to, as a JSON list. */
    private const CLASS_NAMES = "(SELECT coalesce(json_agg(c.name ORDER BY c.name), '[]') FROM handout_class hc
        JOIN ".RosterTables::CLASSES.' c ON c.id = hc.class_id WHERE hc.handout_id = h.id)';
    private const SELECT = 'SELECT h.*, e.paper_id, e.number AS edition, '.self::CLASS_NAMES.' AS classes, (SELECT count(*)
        FROM handout_student hs WHERE hs.handout_id = h.id) AS expected,
        (SELECT max(l.number) FROM '.PaperTables::EDITIONS.' l WHERE l.paper_id = e.paper_id) AS latest,
        (SELECT f.title FROM handout f WHERE f.id = h.follows_id) AS follows
        FROM handout h JOIN '.PaperTables::EDITIONS.' e ON e.id = h.edition_id';
    private const MOST = 200;

    public function __construct(Connection $connection, private ProgressOfWork $progress, private GroupNames $groups)
    {
        parent::__construct($connection);
    }

    /** @return list<HandoutView> the latest first */
    public function all(string $teamId, \DateTimeImmutable $now): array
    {
        return $this->views(
            $this->rows(self::SELECT.' WHERE h.team_id = :team ORDER BY h.made_at DESC, h.id LIMIT '.self::MOST, ['team' => $teamId]),
            $now,
        );
    }

    public function one(string $teamId, string $id, \DateTimeImmutable $now): ?HandoutView
    {
        return $this->views(
            $this->rows(self::SELECT.' WHERE h.id = :id AND h.team_id = :team', ['id' => $id, 'team' => $teamId]),
            $now,
        )[0] ?? null;
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, list<string>> names of the classes, by handout
     */
    public function classNames(array $ids): array
    {
        return $ids === [] ? [] : array_map(
            Json::texts(...),
            $this->pairs('SELECT h.id::text, '.self::CLASS_NAMES.'::text FROM handout h WHERE h.id IN (:ids)', ['ids' => $ids]),
        );
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows(
            'SELECT id::text, title AS name, false AS away FROM handout WHERE team_id = :team AND id IN (:ids)',
            ['team' => $teamId, 'ids' => $ids],
        );

        return TrailSubject::byId($rows);
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<HandoutView>
     */
    private function views(array $rows, \DateTimeImmutable $now): array
    {
        /** @var list<array{id: string, title: string, paper_id: string, edition: int, latest: int, classes: string, conditions: string, visible: bool, opens_at: string|null, closes_at: string|null, closed_at: string|null, made_at: string, expected: int, group_id: string|null, follows: string|null}> $rows as SELECT says */
        $progress = $this->progress->of(array_column($rows, 'id'));
        $groups = $this->groups->of(array_values(array_filter(array_column($rows, 'group_id'), is_string(...))));

        return array_map(static function (array $r) use ($progress, $groups, $now): HandoutView {
            $work = $progress[$r['id']] ?? new Progress();

            return new HandoutView(
                $r['id'],
                $r['title'],
                $r['paper_id'],
                $r['edition'],
                $r['latest'],
                Json::texts($r['classes']),
                Conditions::fromArray(Json::decode($r['conditions']))->toArray(),
                $r['visible'],
                HandoutReader::window($r)->statusAt($now)->value,
                Moment::isoOrNull($r['opens_at']),
                Moment::isoOrNull($r['closes_at']),
                Moment::isoOrNull($r['closed_at']),
                Moment::iso($r['made_at']),
                $r['expected'],
                $work->open,
                $work->handedIn,
                $work->returned,
                $work->waiting,
                $groups[$r['group_id'] ?? ''] ?? null,
                $r['follows'],
            );
        }, $rows);
    }
}
