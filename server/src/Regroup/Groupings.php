<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Regroup;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use ChalkLadder\Server\Results\Counting;

/** Groups formed from results, kept, and handed their next piece of work. */
final readonly class Groupings
{
    public function __construct(
        private Database $database,
        private Handouts $handouts,
        private Counting $counting,
        private Terms $terms,
        private Teams $teams,
        private Trail $trail,
    ) {
    }

    public function propose(string $teamId, string $handoutId, string $aim): GroupingView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->count($handout);
        $names = array_column($counted->students, 'name', 'studentId');
        $students = [];
        foreach ($counted->students as $i => $s) {
            $students[] = new Student($s['studentId'], $s['of'] > 0.0 ? $s['marks'] / $s['of'] : 0.0, $counted->evidence[$i]);
        }
        $terms = $this->terms->all($teamId)->misconceptions;
        $groups = $aim === 'misconception' ? Regroup::byMisconception($students, array_column($terms, 'name', 'id')) : Regroup::byRung($students, $this->teams->rungs($teamId));
        $nextSteps = array_column($terms, 'nextStep', 'id');

        return new GroupingView(null, $handout->title.($aim === 'misconception' ? ', by misconception' : ', by rung'), $aim, $handoutId, $handout->title, null, null, array_map(static function (Group $g) use ($names, $nextSteps): GroupView {
            $members = [];
            foreach ($g->members as $id => $reason) {
                $members[] = new MemberView((string) $id, $names[$id] ?? '', $reason);
            }

            return new GroupView(null, $g->name, $g->about === '' ? null : $g->about, $nextSteps[$g->about] ?? '', $members, []);
        }, $groups));
    }

    public function list(string $teamId): GroupingListView
    {
        $rows = $this->database->rows('SELECT g.id, g.name, g.aim, g.made_at, h.title, (SELECT count(*) FROM grouping_group gg WHERE gg.grouping_id = g.id) AS groups, (SELECT count(*) FROM grouping_group gg JOIN grouping_member m ON m.group_id = gg.id WHERE gg.grouping_id = g.id) AS students, (SELECT count(*) FROM handout f JOIN grouping_group gg ON gg.id = f.group_id WHERE gg.grouping_id = g.id) AS follow_ups FROM grouping g JOIN handout h ON h.id = g.handout_id WHERE g.team_id = :team ORDER BY g.made_at DESC, g.id LIMIT 200', ['team' => $teamId]);

        return new GroupingListView(array_map(static fn (Row $r): GroupingRowView => new GroupingRowView($r->text('id'), $r->text('name'), $r->text('aim'), $r->text('title'), $r->int('groups'), $r->int('students'), $r->int('follow_ups'), $r->time('made_at')), $rows));
    }

    public function show(string $teamId, string $id): GroupingView
    {
        $row = $this->database->row('SELECT g.name, g.aim, g.handout_id, g.made_at, h.title, s.name AS maker FROM grouping g JOIN handout h ON h.id = g.handout_id JOIN staff s ON s.id = g.made_by WHERE g.id = :id AND g.team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The grouping');
        $members = [];
        foreach ($this->database->rows('SELECT m.group_id, m.student_id, st.name, m.reason FROM grouping_member m JOIN grouping_group g ON g.id = m.group_id JOIN student st ON st.id = m.student_id WHERE g.grouping_id = :id ORDER BY st.name_folded', ['id' => $id]) as $m) {
            $members[$m->text('group_id')][] = new MemberView($m->text('student_id'), $m->text('name'), $m->text('reason'));
        }
        $handouts = [];
        foreach ($this->database->rows('SELECT h.group_id, h.title FROM handout h JOIN grouping_group g ON g.id = h.group_id WHERE g.grouping_id = :id ORDER BY h.made_at', ['id' => $id]) as $h) {
            $handouts[$h->text('group_id')][] = $h->text('title');
        }
        $groups = $this->database->rows('SELECT g.id, g.name, g.about, m.next_step FROM grouping_group g LEFT JOIN misconception m ON m.id = g.about WHERE g.grouping_id = :id ORDER BY g.place', ['id' => $id]);

        return new GroupingView($id, $row->text('name'), $row->text('aim'), $row->text('handout_id'), $row->text('title'), $row->time('made_at'), $row->text('maker'), array_map(static fn (Row $g): GroupView => new GroupView($g->text('id'), $g->text('name'), $g->textOrNull('about'), $g->textOrNull('next_step') ?? '', $members[$g->text('id')] ?? [], $handouts[$g->text('id')] ?? []), $groups));
    }

    public function keep(StaffUser $who, string $handoutId, GroupingInput $input): GroupingView
    {
        $this->handouts->find($who->teamId, $handoutId);
        $id = $this->database->newId();
        $this->database->together(function () use ($who, $handoutId, $input, $id): void {
            $this->database->insert('grouping', ['id' => $id, 'team_id' => $who->teamId, 'handout_id' => $handoutId, 'name' => trim($input->name), 'aim' => $input->aim, 'made_by' => $who->id, 'made_at' => $this->database->now()]);
            $this->fill($who->teamId, $id, $input);
            $this->trail->note($who, 'keep grouping', 'grouping', $id, ['groups' => count($input->groups)]);
        });

        return $this->show($who->teamId, $id);
    }

    /** Hands each named group its paper, all in one act: all of it or none. */
    public function followUp(StaffUser $who, string $id, FollowUpsInput $input): GroupingView
    {
        $grouping = $this->show($who->teamId, $id);
        $this->database->together(function () use ($who, $grouping, $input): void {
            foreach ($input->groups as $one) {
                $group = array_values(array_filter($grouping->groups, static fn (GroupView $g): bool => $g->id === $one->groupId))[0] ?? throw Problem::notFound('The group');
                $students = array_map(static fn (MemberView $m): string => $m->studentId, $group->members);
                if ($students !== []) {
                    $this->handouts->handOut($who, new HandoutInput($one->editionId, [], $students, $input->conditions, requestId: $one->requestId), $one->groupId);
                }
            }
        });

        return $this->show($who->teamId, $id);
    }

    private function fill(string $teamId, string $id, GroupingInput $input): void
    {
        $known = [];
        foreach ($this->database->rows('SELECT id::text FROM student WHERE team_id = :team', ['team' => $teamId]) as $row) {
            $known[$row->text('id')] = true;
        }
        $ideas = $this->terms->misconceptionNames($teamId);
        $rows = [];
        $members = [];
        $seen = [];
        foreach ($input->groups as $place => $group) {
            if ($group->about !== null && !isset($ideas[$group->about])) {
                throw Problem::invalid(["groups[$place].about" => 'This misconception is not one of the team’s.']);
            }
            $groupId = $this->database->newId();
            $rows[] = [$groupId, $id, $place, trim($group->name), $group->about];
            foreach ($group->members as $member) {
                if (!isset($known[$member->studentId]) || isset($seen[$member->studentId])) {
                    throw Problem::invalid(["groups[$place].members" => isset($seen[$member->studentId]) ? 'A student stands in two groups.' : 'One of these students was not found.']);
                }
                $seen[$member->studentId] = true;
                $members[] = [$groupId, $member->studentId, $member->reason];
            }
        }
        $this->database->insertAll('grouping_group', ['id', 'grouping_id', 'place', 'name', 'about'], $rows);
        $this->database->insertAll('grouping_member', ['group_id', 'student_id', 'reason'], $members);
    }
}
