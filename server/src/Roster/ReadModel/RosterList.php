<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\ReadModel;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Sitting\Support;
use ChalkLadder\Server\Identity\ReadModel\SignedIn;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\Api\View\ClassRowView;
use ChalkLadder\Server\Roster\Api\View\SupportedStudentView;
use ChalkLadder\Server\Roster\Api\View\SupportView;
use ChalkLadder\Server\Roster\StudentUser;

final readonly class RosterList extends ReadModel implements TrailSubjects
{
    /** @return list<ClassRowView> a teacher's own first, each by name */
    public function classes(string $teamId, string $staffId): array
    {
        /** @var list<array{id: string, name: string, code: string, students: int, teachers: string, mine: bool}> $rows */
        $rows = $this->rows("SELECT c.id, c.name, c.code, count(m.student_id) AS students, :staff::uuid = ANY(c.teachers) AS mine,
                coalesce((SELECT string_agg(s.name, ', ' ORDER BY s.name) FROM ".StaffList::TEACHERS." s WHERE s.id = ANY(c.teachers)), '')
                    AS teachers
            FROM class c LEFT JOIN class_member m ON m.class_id = c.id AND m.left_at IS NULL WHERE c.team_id = :team GROUP BY c.id
            ORDER BY mine DESC, c.name", ['team' => $teamId, 'staff' => $staffId]);

        return array_map(
            static fn (array $r): ClassRowView => new ClassRowView(
                $r['id'],
                $r['name'],
                $r['code'],
                $r['students'],
                $r['teachers'],
                $r['mine'],
            ),
            $rows,
        );
    }

    public function hasClassNamed(string $teamId, string $name): bool
    {
        return $this->row(
            'SELECT 1 FROM class WHERE team_id = :team AND lower(name) = lower(:name)',
            ['team' => $teamId, 'name' => $name],
        ) !== null;
    }

    public function hasCode(string $code): bool
    {
        return $this->row('SELECT 1 FROM class WHERE code = :code', ['code' => $code]) !== null;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string> those that are classes of the team's
     */
    public function classesAmong(string $teamId, array $ids): array
    {
        return $ids === [] ? [] : $this->texts(
            'SELECT id::text FROM class WHERE team_id = :team AND id::text IN (:ids)',
            ['team' => $teamId, 'ids' => $ids],
        );
    }

    /**
     * @param list<string> $classIds of the team's
     *
     * @return list<string> ids of those who are in one of the classes now
     */
    public function membersOf(array $classIds): array
    {
        return $classIds === [] ? [] : $this->texts(
            'SELECT DISTINCT student_id::text FROM class_member WHERE left_at IS NULL AND class_id::text IN (:ids)',
            ['ids' => $classIds],
        );
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, string> names of those who are students of the team's, by id
     */
    public function studentNames(string $teamId, array $ids): array
    {
        return $ids === [] ? [] : $this->pairs(
            'SELECT id::text, name FROM student WHERE team_id = :team AND id::text IN (:ids)',
            ['team' => $teamId, 'ids' => $ids],
        );
    }

    /** @return list<SupportedStudentView> by name */
    public function supported(string $teamId): array
    {
        /** @var list<array{id: string, name: string, class: string, support: string}> $rows */
        $rows = $this->rows("SELECT s.id, s.name, s.support, min(c.name) AS class FROM student s
            JOIN class_member m ON m.student_id = s.id AND m.left_at IS NULL JOIN class c ON c.id = m.class_id
            WHERE s.team_id = :team AND s.support <> '{}' GROUP BY s.id ORDER BY s.name_folded, s.id", ['team' => $teamId]);
        $students = [];
        foreach ($rows as $row) {
            $support = SupportView::of(self::support($row['support']));
            if ($support !== null) {
                $students[] = new SupportedStudentView($row['id'], $row['name'], $row['class'], $support);
            }
        }

        return $students;
    }

    /** What helps a student of the team's; nothing where there is no such student. */
    public function supportOf(string $teamId, string $studentId): Support
    {
        /** @var array{support: string}|null $row */
        $row = $this->row('SELECT support FROM student WHERE team_id = :team AND id::text = :id', ['team' => $teamId, 'id' => $studentId]);

        return $row === null ? new Support() : self::support($row['support']);
    }

    public static function support(string $stored): Support
    {
        return Support::read(new Node(Json::decode($stored)));
    }

    /** @return list<array{StudentUser, string, bool}> who goes by this name in the class with this code, with the sealed PIN and whether pictures do */
    public function goingBy(string $code, string $foldedName): array
    {
        /** @var list<array{id: string, team_id: string, name: string, pin_sealed: string, pictures: bool}> $rows */
        $rows = $this->rows('SELECT s.id, s.team_id, s.name, s.pin_sealed, c.pictures FROM class c
            JOIN class_member m ON m.class_id = c.id AND m.left_at IS NULL
            JOIN student s ON s.id = m.student_id
            WHERE c.code = :code AND s.name_folded = :name', ['code' => $code, 'name' => $foldedName]);

        return array_map(
            static fn (array $r): array => [new StudentUser($r['id'], $r['team_id'], $r['name']), $r['pin_sealed'], $r['pictures']],
            $rows,
        );
    }

    /** @return array{string, bool}|null a student's sealed PIN, and whether a class of theirs comes in by pictures */
    public function slipOf(string $studentId): ?array
    {
        /** @var array{pin_sealed: string, pictures: bool}|null $row */
        $row = $this->row('SELECT s.pin_sealed, bool_or(c.pictures) AS pictures FROM student s
            JOIN class_member m ON m.student_id = s.id AND m.left_at IS NULL JOIN class c ON c.id = m.class_id
            WHERE s.id = :id GROUP BY s.id', ['id' => $studentId]);

        return $row === null ? null : [$row['pin_sealed'], $row['pictures']];
    }

    /**
     * Whose session this is. Who is on no roster any more is nobody.
     *
     * @param array{hash: string, now: string, idle: string} $asked
     *
     * @return array{StudentUser, bool}|null and whether the session's use is to be noted
     */
    public function signedIn(array $asked): ?array
    {
        /** @var array{id: string, team_id: string, name: string, stale: bool}|null $row */
        $row = $this->keptRow('SELECT s.id, s.team_id, s.name, '.SignedIn::STALE.' AS stale FROM '.SignedIn::SESSIONS.'
            JOIN student s ON s.id = a.student_id
            WHERE '.RosterTables::HOLDS, $asked);

        return $row === null ? null : [new StudentUser($row['id'], $row['team_id'], $row['name']), $row['stale']];
    }

    public function leaveAll(string $studentId, \DateTimeImmutable $now): void
    {
        $this->run(
            'UPDATE class_member SET left_at = coalesce(left_at, :now) WHERE student_id = :id',
            ['id' => $studentId, 'now' => Moment::stored($now)],
        );
    }

    /** Until the act ends, what refers to a student may point to one whose row comes later. */
    public function deferWork(): void
    {
        $this->run('SET CONSTRAINTS ALL DEFERRED');
    }

    public function isAnywhere(string $studentId): bool
    {
        return $this->row('SELECT 1 FROM class_member WHERE student_id = :id AND left_at IS NULL', ['id' => $studentId]) !== null;
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows("SELECT id::text, name, false AS away FROM class WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM student WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT m.class_id || '|' || m.student_id, '', m.left_at IS NOT NULL FROM class_member m
            JOIN class c ON c.id = m.class_id
                WHERE c.team_id = :team AND m.class_id IN (:ids) AND m.student_id IN (:ids)", ['team' => $teamId, 'ids' => $ids]);

        return TrailSubject::byId($rows);
    }
}
