<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Regroup;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handout;
use ChalkLadder\Server\Handout\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use ChalkLadder\Server\Results\Counted;
use ChalkLadder\Server\Results\Counting;
use ChalkLadder\Server\Results\FigureView;

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
        $students = $this->students($teamId, $handout);
        $terms = $this->terms->all($teamId)->misconceptions;
        $groups = $aim === 'misconception' ? Regroup::byMisconception($students, array_column($terms, 'name', 'id')) : Regroup::byRung($students, $this->teams->rungs($teamId));

        return $this->proposal($teamId, $handout, $aim, $aim === 'misconception' ? ', by misconception' : ', by rung', $groups, $students, null);
    }

    /** Forms groups by a plan, and says how good they are; with every student fixed, how good a grouping by hand is. */
    public function form(string $teamId, string $handoutId, PlanInput $input): GroupingView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $students = $this->students($teamId, $handout);
        $plan = $input->plan();
        $known = array_fill_keys(array_map(static fn (Student $s): string => $s->id, $students), true);
        foreach (['apart' => array_merge([], ...$plan->apart), 'together' => array_merge([], ...$plan->together), 'fixed' => array_map(strval(...), array_keys($plan->fixed))] as $field => $ids) {
            if (array_diff_key(array_fill_keys($ids, true), $known) !== []) {
                throw Problem::invalid([$field => 'One of these students has not handed in this work.']);
            }
        }
        $formed = Former::form($students, $plan, array_column($this->terms->all($teamId)->misconceptions, 'name', 'id') + $this->terms->skillNames($teamId));
        $better = $plan->aim === Plan::ALIKE || $plan->aim === Plan::MIXED ? 'less' : 'more';

        return $this->proposal($teamId, $handout, $plan->aim, ', '.$plan->aim, $formed->groups, $students, new FitView($formed->value, $formed->bound, $formed->measure, $better, $formed->broken, $formed->clash));
    }

    public function list(string $teamId): GroupingListView
    {
        $rows = $this->database->rows('SELECT g.id, g.name, g.aim, g.made_at, h.title, (SELECT count(*) FROM grouping_group gg WHERE gg.grouping_id = g.id) AS groups, (SELECT count(*) FROM grouping_group gg JOIN grouping_member m ON m.group_id = gg.id WHERE gg.grouping_id = g.id) AS students, (SELECT count(*) FROM handout f JOIN grouping_group gg ON gg.id = f.group_id WHERE gg.grouping_id = g.id) AS follow_ups FROM grouping g JOIN handout h ON h.id = g.handout_id WHERE g.team_id = :team AND g.archived_at IS NULL ORDER BY g.made_at DESC, g.id LIMIT 200', ['team' => $teamId]);

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

    /** Moves a student to another group of a kept grouping. What their old group was handed stays theirs. */
    public function move(StaffUser $who, string $id, MoveInput $input): GroupingView
    {
        $this->show($who->teamId, $id);
        $this->database->together(function () use ($who, $id, $input): void {
            $moved = $this->database->run('UPDATE grouping_member m SET group_id = t.id, reason = :reason FROM grouping_group f, grouping_group t WHERE m.group_id = f.id AND f.grouping_id = :id AND m.student_id = :student AND t.grouping_id = :id AND t.id = :to', ['id' => $id, 'student' => $input->studentId, 'to' => $input->groupId, 'reason' => trim($input->reason)]);
            if ($moved === 0) {
                throw Problem::notFound('The student or the group');
            }
            $this->trail->note($who, 'move', 'grouping', $id, ['student' => $input->studentId, 'group' => $input->groupId]);
        });

        return $this->show($who->teamId, $id);
    }

    /** Takes a grouping off the list, or puts it back. What its groups were handed stays. */
    public function archive(StaffUser $who, string $id, bool $away): void
    {
        if ($this->database->run('UPDATE grouping SET archived_at = :at WHERE id = :id AND team_id = :team', ['at' => $away ? $this->database->now() : null, 'id' => $id, 'team' => $who->teamId]) === 0) {
            throw Problem::notFound('The grouping');
        }
        $this->trail->note($who, $away ? 'archive' : 'restore', 'grouping', $id);
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

    /**
     * @param list<Group>   $groups
     * @param list<Student> $students
     */
    private function proposal(string $teamId, Handout $handout, string $aim, string $suffix, array $groups, array $students, ?FitView $fit): GroupingView
    {
        $names = $evidence = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name;
            $evidence[$student->id] = $student->evidence;
        }
        $nextSteps = array_column($this->terms->all($teamId)->misconceptions, 'nextStep', 'id');

        return new GroupingView(null, $handout->title.$suffix, $aim, $handout->id, $handout->title, null, null, array_map(static function (Group $g) use ($names, $nextSteps, $evidence): GroupView {
            $members = [];
            foreach ($g->members as $id => $reason) {
                $members[] = new MemberView((string) $id, $names[$id] ?? '', $reason, isset($evidence[$id][$g->about]) ? FigureView::of($evidence[$id][$g->about]->rate) : null);
            }

            return new GroupView(null, $g->name, $g->about === '' ? null : $g->about, $nextSteps[$g->about] ?? '', $members, []);
        }, $groups), $fit);
    }

    /** @return list<Student> those who have handed in, with their measures */
    private function students(string $teamId, Handout $handout): array
    {
        $counted = $this->counting->count($handout);
        $class = [];
        foreach ($this->database->rows('SELECT m.student_id, c.name FROM class c JOIN class_member m ON m.class_id = c.id AND m.left_at IS NULL JOIN handout_student hs ON hs.student_id = m.student_id AND hs.handout_id = :id WHERE c.team_id = :team ORDER BY c.name', ['id' => $handout->id, 'team' => $teamId]) as $row) {
            $class[$row->text('student_id')] ??= $row->text('name');
        }
        $skills = $this->terms->skillNames($teamId);
        $students = [];
        foreach ($counted->students as $i => $s) {
            $students[] = new Student($s['studentId'], $s['share'] ?? 0.0, $counted->evidence[$i], $s['name'], ['class' => $class[$s['studentId']] ?? ''], self::nextStep($handout, $counted, $i, $skills));
        }

        return $students;
    }

    /**
     * The skill that a student has shown least of, drawn towards one half where few questions speak of it.
     *
     * @param array<string, string> $skills names by id
     */
    private static function nextStep(Handout $handout, Counted $counted, int $student, array $skills): string
    {
        $credits = [];
        foreach ($counted->questions as $question) {
            $skill = $handout->edition->item($question->id)->skill ?? '';
            if (isset($skills[$skill]) && $question->credits[$student] !== null && $question->cells[$student] !== Cell::NotReached) {
                $credits[$skill][] = $question->credits[$student];
            }
        }
        $means = array_map(static fn (array $c): float => (array_sum($c) + 1) / (count($c) + 2), $credits);
        asort($means);

        return (string) array_key_first($means);
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
