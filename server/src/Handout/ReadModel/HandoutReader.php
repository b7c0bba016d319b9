<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Identity\ReadModel\TeamSettings;
use ChalkLadder\Server\Paper\PublishedPapers;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use Doctrine\DBAL\Connection;

/** Handouts as the other rooms use them, and the few questions about them that need one statement each. */
final readonly class HandoutReader extends ReadModel
{
    public function __construct(Connection $connection, private PublishedPapers $papers)
    {
        parent::__construct($connection);
    }

    public function find(string $teamId, string $id): ?HandedOut
    {
        return $this->first('h.id = :id AND h.team_id = :team', ['id' => $id, 'team' => $teamId]);
    }

    /** The handout that follows another by itself, with a paper. */
    public function following(string $id, string $paperId): ?string
    {
        return $this->texts(
            'SELECT id FROM handout WHERE follows_id = :id AND follows_paper = :paper',
            ['id' => $id, 'paper' => $paperId],
        )[0] ?? null;
    }

    /** A handout that the student has been given and may see. */
    public function givenTo(string $studentId, string $id): ?HandedOut
    {
        return $this->first(
            'h.id = :id AND h.visible AND h.student_id = :who',
            ['id' => $id, 'who' => $studentId],
            HandoutTables::GIVEN,
        );
    }

    /**
     * @param list<string> $fileIds
     *
     * @return list<string> those that stand in a paper that the student has been given
     */
    public function shown(string $studentId, array $fileIds): array
    {
        return $this->texts('SELECT DISTINCT f.file_id::text FROM handout h JOIN handout_student hs ON hs.handout_id = h.id
            JOIN '.PaperTables::FILES.' f ON f.edition_id = h.edition_id
            WHERE h.visible AND hs.student_id = :who AND f.file_id IN (:files)', ['who' => $studentId, 'files' => $fileIds]);
    }

    /** The handout that an earlier request of the same name has made; until the act ends, nobody else asks for that name. */
    public function ofRequest(string $teamId, string $requestId): ?string
    {
        $this->holdName($teamId.$requestId);

        return $this->texts(
            'SELECT id FROM handout WHERE team_id = :team AND request_id = :request',
            ['team' => $teamId, 'request' => $requestId],
        )[0] ?? null;
    }

    /** Gives everybody who is in a class now what the class has open. */
    public function giveOpenTo(string $classId, \DateTimeImmutable $now): void
    {
        $this->run('INSERT INTO handout_student (handout_id, student_id) SELECT hc.handout_id, m.student_id FROM handout_class hc
            JOIN handout h ON h.id = hc.handout_id AND NOT '.HandoutTables::CLOSED.'
            JOIN '.RosterTables::MEMBERS.' m ON m.class_id = hc.class_id AND m.student_id <> ALL(hc.without)
            WHERE hc.class_id = :class ON CONFLICT DO NOTHING', [
            'class' => $classId,
            'now' => Moment::stored($now),
        ]);
    }

    /** @return list<array{team: string, id: string}> handouts whose closing time is over and which nobody has closed */
    public function due(\DateTimeImmutable $now): array
    {
        /** @var list<array{team: string, id: string}> $rows */
        $rows = $this->rows(
            'SELECT h.team_id AS team, h.id FROM handout h WHERE '.HandoutTables::DUE.' ORDER BY h.closes_at LIMIT 100',
            ['now' => Moment::stored($now)],
        );

        return $rows;
    }

    /**
     * Nearly every page of a lesson asks for one.
     *
     * @param array<string, string> $parameters
     */
    private function first(string $where, array $parameters, string $handouts = HandoutTables::HANDOUTS): ?HandedOut
    {
        /** @var array{id: string, team_id: string, title: string, edition_id: string, conditions: string, visible: bool, opens_at: string|null, closes_at: string|null, closed_at: string|null, extra_minutes: int, rules_version: int, mark_step: string}|null $row */
        $row = $this->keptRow('SELECT h.id, h.team_id, h.title, h.edition_id, h.conditions, h.visible, h.opens_at, h.closes_at,
            h.closed_at, h.extra_minutes, e.rules_version, '.TeamSettings::markStep('h.team_id').' AS mark_step
            FROM '.$handouts.' h JOIN '.PaperTables::RULES." e ON e.id = h.edition_id WHERE $where", $parameters);

        return $row === null ? null : new HandedOut(
            $row['id'],
            $row['team_id'],
            $row['title'],
            $this->papers->load($row['edition_id'], $row['rules_version']),
            $row['rules_version'],
            Conditions::fromArray(Json::decode($row['conditions'])),
            BigRational::of($row['mark_step']),
            self::window($row),
            $row['extra_minutes'],
        );
    }

    /** @param array{visible: bool, opens_at: string|null, closes_at: string|null, closed_at: string|null, ...} $row */
    public static function window(array $row): Window
    {
        $moment = static fn (?string $stored): ?\DateTimeImmutable => $stored === null ? null : Moment::read($stored);

        return new Window($row['visible'], $moment($row['opens_at']), $moment($row['closes_at']), $moment($row['closed_at']));
    }
}
