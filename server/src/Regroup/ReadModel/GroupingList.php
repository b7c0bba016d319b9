<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\ReadModel;

use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Handout\GroupNames;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Regroup\Api\View\GroupingRowView;
use ChalkLadder\Server\Regroup\Api\View\GroupingView;
use ChalkLadder\Server\Regroup\Api\View\GroupView;
use ChalkLadder\Server\Regroup\Api\View\HandedView;
use ChalkLadder\Server\Regroup\Api\View\KeysOutView;
use ChalkLadder\Server\Regroup\Api\View\MemberView;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;
use ChalkLadder\Server\Sitting\ReadModel\ToldKeys;

/** @phpstan-import-type Met from ToldKeys */
final readonly class GroupingList extends ReadModel implements GroupNames, TrailSubjects
{
    private const MOST = 200;

    /** @return list<GroupingRowView> the latest first */
    public function all(string $teamId): array
    {
        /** @var list<array{id: string, name: string, aim: string, title: string, groups: int, students: int, follow_ups: int, made_at: string}> $rows */
        $rows = $this->rows('SELECT g.id, g.name, g.aim, g.made_at, h.title, (SELECT count(*) FROM grouping_group gg
            WHERE gg.grouping_id = g.id) AS groups,
                (SELECT count(*) FROM grouping_group gg JOIN grouping_member m ON m.group_id = gg.id
                WHERE gg.grouping_id = g.id) AS students,
                (SELECT count(*) FROM '.HandoutTables::HANDOUTS.' f JOIN grouping_group gg ON gg.id = f.group_id
                WHERE gg.grouping_id = g.id) AS follow_ups
            FROM grouping g JOIN '.HandoutTables::HANDOUTS.' h ON h.id = g.handout_id
            WHERE g.team_id = :team AND g.archived_at IS NULL ORDER BY g.made_at DESC, g.id LIMIT '.self::MOST, ['team' => $teamId]);

        return array_map(
            static fn (array $r): GroupingRowView => new GroupingRowView(
                $r['id'],
                $r['name'],
                $r['aim'],
                $r['title'],
                $r['groups'],
                $r['students'],
                $r['follow_ups'],
                Moment::iso($r['made_at']),
            ),
            $rows,
        );
    }

    public function one(string $teamId, string $id): ?GroupingView
    {
        /** @var array{name: string, aim: string, handout_id: string, title: string, made_at: string, maker: string}|null $row */
        $row = $this->row('SELECT g.name, g.aim, g.handout_id, g.made_at, h.title, s.name AS maker FROM grouping g
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = g.handout_id
            JOIN '.StaffList::NAMES.' s ON s.id = g.made_by WHERE g.id = :id AND g.team_id = :team', ['id' => $id, 'team' => $teamId]);

        return $row === null ? null : new GroupingView(
            $id,
            $row['name'],
            $row['aim'],
            $row['handout_id'],
            $row['title'],
            Moment::iso($row['made_at']),
            $row['maker'],
            $this->groups($id),
            keysOut: $this->keysOut($teamId, $id),
        );
    }

    /** @return list<KeysOutView> editions with questions whose keys some of the groups' students have been told, wherever they met them */
    private function keysOut(string $teamId, string $id): array
    {
        /** @var list<Met> $met */
        $met = $this->rows('SELECT DISTINCT '.ToldKeys::MET.' FROM grouping_group g
            JOIN grouping_member m ON m.group_id = g.id JOIN '.SittingTables::SITTINGS.' s ON s.student_id = m.student_id
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id AND h.team_id = :team WHERE g.grouping_id = :id', ['team' => $teamId, 'id' => $id]);
        $told = ToldKeys::handouts($met);
        if ($told === []) {
            return [];
        }
        /** @var list<array{edition: string, n: int, titles: string}> $rows */
        $rows = $this->rows('SELECT e.id AS edition, count(DISTINCT other.entry) AS n, json_agg(DISTINCT h.title) AS titles
            FROM '.HandoutTables::HANDOUTS.' h
            JOIN '.PaperTables::ITEMS.' mine ON mine.edition_id = h.edition_id
            JOIN '.PaperTables::ITEMS.' other ON other.item_id = mine.item_id
            JOIN '.PaperTables::EDITIONS.' e ON e.id = other.edition_id AND e.team_id = :team
            WHERE h.id IN (:told) GROUP BY e.id ORDER BY e.id', ['told' => $told, 'team' => $teamId]);

        return array_map(static fn (array $r): KeysOutView => new KeysOutView($r['edition'], $r['n'], Json::texts($r['titles'])), $rows);
    }

    public function of(array $groupIds): array
    {
        return $groupIds === [] ? [] : $this->pairs('SELECT id::text, name FROM grouping_group WHERE id IN (:ids)', ['ids' => $groupIds]);
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows('SELECT id::text, name, archived_at IS NOT NULL AS away FROM grouping WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT gg.id::text, gg.name, false FROM grouping_group gg JOIN grouping g ON g.id = gg.grouping_id
            WHERE g.team_id = :team AND gg.id IN (:ids)', ['team' => $teamId, 'ids' => $ids]);

        return TrailSubject::byId($rows);
    }

    /** @return list<GroupView> */
    private function groups(string $groupingId): array
    {
        /** @var list<array{id: string, name: string, about: string|null, next_step: string|null, members: string, handouts: string}> $rows */
        $rows = $this->rows("SELECT g.id, g.name, g.about, mc.next_step,
                (SELECT coalesce(json_agg(json_build_array(m.student_id, st.name, m.reason) ORDER BY st.name_folded), '[]')
                FROM grouping_member m JOIN ".RosterTables::STUDENTS." st ON st.id = m.student_id WHERE m.group_id = g.id) AS members,
                (SELECT coalesce(json_agg(json_build_array(h.id, h.title) ORDER BY h.made_at, h.id), '[]') FROM ".HandoutTables::HANDOUTS.' h
                WHERE h.group_id = g.id) AS handouts
            FROM grouping_group g LEFT JOIN '.BankTables::NEXT_STEPS.' mc ON mc.id = g.about WHERE g.grouping_id = :id
            ORDER BY g.place', ['id' => $groupingId]);

        return array_map(static function (array $r): GroupView {
            /** @var list<array{string, string, string}> $members as the query builds them */
            $members = Json::decode($r['members']);
            /** @var list<array{string, string}> $handed likewise */
            $handed = Json::decode($r['handouts']);

            return new GroupView(
                $r['id'],
                $r['name'],
                $r['about'],
                $r['next_step'] ?? '',
                array_map(static fn (array $m): MemberView => new MemberView($m[0], $m[1], $m[2]), $members),
                array_map(static fn (array $h): HandedView => new HandedView($h[0], $h[1]), $handed),
            );
        }, $rows);
    }
}
