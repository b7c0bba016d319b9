<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Group as Formation;
use ChalkLadder\Core\Grouping\NextStep;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Regroup;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Handout\ReadModel\ClassOfStudents;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Regroup\Api\Input\FollowUpsInput;
use ChalkLadder\Server\Regroup\Api\Input\GroupingInput;
use ChalkLadder\Server\Regroup\Api\Input\GroupInput;
use ChalkLadder\Server\Regroup\Api\Input\MemberInput;
use ChalkLadder\Server\Regroup\Api\Input\MoveInput;
use ChalkLadder\Server\Regroup\Api\Input\PlanInput;
use ChalkLadder\Server\Regroup\Api\View\AbsentView;
use ChalkLadder\Server\Regroup\Api\View\FitView;
use ChalkLadder\Server\Regroup\Api\View\GroupingListView;
use ChalkLadder\Server\Regroup\Api\View\GroupingView;
use ChalkLadder\Server\Regroup\Api\View\GroupView;
use ChalkLadder\Server\Regroup\Api\View\MemberView;
use ChalkLadder\Server\Regroup\Entity\Group;
use ChalkLadder\Server\Regroup\Entity\Grouping;
use ChalkLadder\Server\Regroup\ReadModel\GroupingList;
use ChalkLadder\Server\Regroup\Repository\GroupingRepository;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Columns;
use ChalkLadder\Server\Results\Counting;
use ChalkLadder\Server\Roster\Students;
use Symfony\Component\Clock\ClockInterface;

/** Groups formed from results, kept, and handed their next piece of work. */
final readonly class Groupings
{
    public function __construct(
        private GroupingRepository $groupings,
        private GroupingList $list,
        private Handouts $handouts,
        private Counting $counting,
        private ClassOfStudents $classes,
        private Students $students,
        private Terms $terms,
        private Teams $teams,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** @param string $class name of the class whose students are grouped, or '' */
    public function propose(string $teamId, string $handoutId, string $aim, string $class = ''): GroupingView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $students = $this->students($teamId, $handout, $class);
        $terms = $this->terms->all($teamId)->misconceptions;
        $groups = $aim === 'misconception' ? Regroup::byMisconception(
            $students,
            array_column($terms, 'name', 'id'),
        ) : Regroup::byRung($students, $this->teams->rungs($teamId));

        return $this->proposal(
            $teamId,
            $handout,
            $aim,
            ($class === '' ? '' : ', '.$class).($aim === 'misconception' ? ', by misconception' : ', by rung'),
            $groups,
            $students,
            null,
            $class,
        );
    }

    /** Forms groups by a plan, and says how good they are; with every student fixed, how good a grouping by hand is. */
    public function form(string $teamId, string $handoutId, PlanInput $input): GroupingView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $students = $this->students($teamId, $handout, $input->class);
        $plan = $input->plan();
        $known = array_fill_keys(array_map(static fn (Student $s): string => $s->id, $students), true);
        foreach ([
            'apart' => array_merge([], ...$plan->apart),
            'together' => array_merge([], ...$plan->together),
            'fixed' => array_map(strval(...), array_keys($plan->fixed)),
        ] as $field => $ids) {
            if (array_diff_key(array_fill_keys($ids, true), $known) !== []) {
                throw Problem::invalid([$field => 'One of these students has not handed in this work.']);
            }
        }
        $formed = Former::form(
            $students,
            $plan,
            array_column($this->terms->all($teamId)->misconceptions, 'name', 'id') + $this->terms->skillNames($teamId),
        );
        $better = $plan->aim === Plan::ALIKE || $plan->aim === Plan::MIXED ? 'less' : 'more';

        return $this->proposal(
            $teamId,
            $handout,
            $plan->aim,
            ($input->class === '' ? '' : ', '.$input->class).', '.$plan->aim,
            $formed->groups,
            $students,
            new FitView(
                $formed->value,
                $formed->bound,
                $formed->measure,
                $better,
                $formed->broken,
                $formed->clash,
                self::elsewhere($students, $plan, $input->consider),
            ),
            $input->class,
        );
    }

    /**
     * @param list<Student> $students
     *
     * @return list<float>
     */
    private static function elsewhere(array $students, Plan $plan, ?string $student): array
    {
        if ($student === null) {
            return [];
        }
        if (count($plan->fixed) < count($students) || !isset($plan->fixed[$student])) {
            throw Problem::invalid(['consider' => 'All students must have a place before one is considered elsewhere.']);
        }

        return Former::elsewhere($students, $plan, $student);
    }

    public function list(string $teamId): GroupingListView
    {
        return new GroupingListView($this->list->all($teamId));
    }

    public function show(string $teamId, string $id): GroupingView
    {
        return $this->list->one($teamId, $id) ?? throw Problem::notFound('The grouping');
    }

    public function keep(StaffUser $who, string $handoutId, GroupingInput $input): GroupingView
    {
        $this->handouts->find($who->teamId, $handoutId);
        $id = $this->transaction->run(function () use ($who, $handoutId, $input): string {
            $grouping = new Grouping($who->teamId, $handoutId, trim($input->name), $input->aim, $who->id, $this->clock->now());
            $this->fill($grouping, $input);
            $grouping->keep();
            $this->groupings->add($grouping);

            return $grouping->id();
        });

        return $this->show($who->teamId, $id);
    }

    /** Moves a student to another group of a kept grouping. */
    public function move(StaffUser $who, string $id, MoveInput $input): GroupingView
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->move(
            $input->studentId,
            $input->groupId,
            trim($input->reason),
            $who->id,
        ));

        return $this->show($who->teamId, $id);
    }

    public function archive(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->archive($who->id, $this->clock->now()));
    }

    public function restore(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->restore($who->id));
    }

    /** Hands each named group its paper, all in one act: all of it or none. */
    public function followUp(StaffUser $who, string $id, FollowUpsInput $input): GroupingView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $grouping = $this->locked($who->teamId, $id);
            foreach ($input->groups as $one) {
                $students = ($grouping->group($one->groupId) ?? throw Problem::notFound('The group'))->students();
                if ($students !== []) {
                    $this->handouts->handOut(
                        $who,
                        new HandoutInput($one->editionId, [], $students, $input->conditions, requestId: $one->requestId),
                        $one->groupId,
                    );
                }
            }
        });

        return $this->show($who->teamId, $id);
    }

    private function locked(string $teamId, string $id): Grouping
    {
        return $this->groupings->findLocked($teamId, $id) ?? throw Problem::notFound('The grouping');
    }

    /**
     * @param list<Formation> $groups
     * @param list<Student> $students
     */
    private function proposal(
        string $teamId,
        HandedOut $handout,
        string $aim,
        string $suffix,
        array $groups,
        array $students,
        ?FitView $fit,
        string $class,
    ): GroupingView {
        $names = $evidence = $shares = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name;
            $shares[$student->id] = $student->share;
            $evidence[$student->id] = $student->evidence;
        }
        $nextSteps = array_column($this->terms->all($teamId)->misconceptions, 'nextStep', 'id');

        $formed = array_map(static function (Formation $g) use ($names, $nextSteps, $evidence, $shares): GroupView {
            $members = [];
            foreach ($g->members as $id => $reason) {
                $members[] = new MemberView(
                    (string) $id,
                    $names[$id] ?? '',
                    $reason,
                    isset($evidence[$id][$g->about]) ? FigureView::of($evidence[$id][$g->about]->rate) : null,
                    $shares[$id] ?? null,
                );
            }

            return new GroupView(null, $g->name, $g->about === '' ? null : $g->about, $nextSteps[$g->about] ?? '', $members, []);
        }, $groups);

        return new GroupingView(
            null,
            $handout->title.$suffix,
            $aim,
            $handout->id,
            $handout->title,
            null,
            null,
            $formed,
            $fit,
            absent: $this->absent($teamId, $handout, $names, $class),
            classes: $this->handouts->classNames([$handout->id])[$handout->id] ?? [],
        );
    }

    /**
     * @param array<string, string> $present names by id
     *
     * @return list<AbsentView> by name
     */
    private function absent(string $teamId, HandedOut $handout, array $present, string $class): array
    {
        $handed = $this->classes->now($handout->id);
        $asked = $class === '' ? $handed : array_filter($handed, static fn (string $c): bool => $c === $class);
        $ids = array_values(array_map(strval(...), array_keys(array_diff_key($asked, $present))));
        $names = $this->students->names($teamId, $ids);
        asort($names);

        return array_map(
            static fn (string $id, string $name): AbsentView => new AbsentView($id, $name),
            array_map(strval(...), array_keys($names)),
            array_values($names),
        );
    }

    /** @return list<Student> those who have handed in, with their measures */
    private function students(string $teamId, HandedOut $handout, string $class): array
    {
        $columns = $this->counting->columns($handout, $class);
        $classes = $this->classes->now($handout->id);
        $skills = $this->terms->skillNames($teamId);
        $same = $this->terms->sameAs($teamId);
        $students = [];
        foreach ($columns->students as $i => $s) {
            $students[] = new Student(
                $s->studentId,
                $s->share ?? 0.0,
                $columns->evidence[$i],
                $s->name,
                ['class' => $classes[$s->studentId] ?? ''],
                NextStep::of(self::credits($handout, $columns, $i, $skills, $same)),
            );
        }

        return $students;
    }

    /**
     * @param array<string, string> $skills names by id
     * @param array<string, string> $same   what stands for each that is part of another
     *
     * @return array<string, list<float>> what a student has shown, by skill
     */
    private static function credits(HandedOut $handout, Columns $columns, int $student, array $skills, array $same): array
    {
        $credits = [];
        foreach ($columns->questions as $question) {
            $skill = $handout->edition->item($question->id)->skill ?? '';
            $skill = $same[$skill] ?? $skill;
            if (isset($skills[$skill]) && $question->credits[$student] !== null && $question->cells[$student] !== Cell::NotReached) {
                $credits[$skill][] = $question->credits[$student];
            }
        }

        return $credits;
    }

    private function fill(Grouping $grouping, GroupingInput $input): void
    {
        $named = array_merge(...array_map(
            static fn (GroupInput $g): array => array_map(static fn (MemberInput $m): string => $m->studentId, $g->members),
            $input->groups,
        ));
        $known = $this->students->names($grouping->teamId(), array_values($named));
        $ideas = $this->terms->misconceptionNames($grouping->teamId());
        foreach ($input->groups as $place => $one) {
            if ($one->about !== null && !isset($ideas[$one->about])) {
                throw Problem::invalid(["groups[$place].about" => 'This misconception is not one of the team’s.']);
            }
            $group = new Group($grouping, $place, trim($one->name), $one->about);
            $grouping->add($group);
            foreach ($one->members as $member) {
                if ($grouping->has($member->studentId)) {
                    throw Problem::invalid(["groups[$place].members" => 'A student stands in two groups.']);
                }
                if (!isset($known[$member->studentId])) {
                    throw Problem::invalid(["groups[$place].members" => 'One of these students was not found.']);
                }
                $group->take($member->studentId, $member->reason);
            }
        }
    }
}
