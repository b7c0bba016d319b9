<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\ClassNow;
use ChalkLadder\Core\Roster\PlannedClass;
use ChalkLadder\Core\Roster\PlannedStudent;
use ChalkLadder\Core\Roster\RosterNow;
use ChalkLadder\Core\Roster\RosterPlan;
use ChalkLadder\Core\Roster\RosterPlanner;
use ChalkLadder\Core\Roster\SchoolFiles;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\SchoolFilesInput;
use ChalkLadder\Server\Roster\Api\View\SchoolFilesView;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use ChalkLadder\Server\Roster\Entity\Student;
use ChalkLadder\Server\Roster\Repository\ClassRepository;
use Symfony\Component\Clock\ClockInterface;

/**
 * Takes classes and students over from the files of a school's own system. What would change is shown first, and planned anew with all
 * classes locked before it is done. Taken twice, the second time changes nothing.
 */
final readonly class SchoolImport
{
    public function __construct(
        private ClassRepository $classes,
        private Places $places,
        private ClassCodes $codes,
        private Pins $pins,
        private Staff $staff,
        private SchoolFilesShown $shown,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function preview(StaffUser $who, SchoolFilesInput $input): SchoolFilesView
    {
        $archive = SchoolArchive::open($input->files);
        $files = SchoolFiles::read($archive->texts);
        $now = $this->now($who->teamId, $this->classes->ofTeam($who->teamId));

        $plan = RosterPlanner::plan($files, $now, $input->skip, $input->keepNames);

        return $this->shown->view($who->teamId, $files, $plan, $now, $archive->others);
    }

    public function take(StaffUser $who, SchoolFilesInput $input): SchoolFilesView
    {
        $archive = SchoolArchive::open($input->files);
        $files = SchoolFiles::read($archive->texts);
        if ($files->faults !== []) {
            throw Problem::invalid(['files' => $files->faults[0]], 'One of the files could not be read. Nothing was taken.');
        }

        return $this->transaction->run(function () use ($who, $input, $archive, $files): SchoolFilesView {
            $classes = $this->classes->ofTeam($who->teamId, locked: true);
            $now = $this->now($who->teamId, $classes);
            $plan = RosterPlanner::plan($files, $now, $input->skip, $input->keepNames);
            $this->do($who, $plan, $classes);

            return $this->shown->view($who->teamId, $files, $plan, $now, $archive->others);
        });
    }

    /** @param list<SchoolClass> $classes all of the team's */
    private function do(StaffUser $who, RosterPlan $plan, array $classes): void
    {
        $by = array_combine(array_map(static fn (SchoolClass $c): string => $c->id(), $classes), $classes);
        $students = [];
        foreach ($classes as $class) {
            $students += $class->everybody();
        }
        foreach ($plan->links as $id => $sourceId) {
            $students[$id]->knownAs($sourceId);
        }
        foreach ($plan->renames as $id => $name) {
            $students[$id]->rename($name, $who->id);
        }
        foreach ($plan->gone as $id) {
            foreach ($classes as $class) {
                if ($class->student($id) !== null) {
                    $class->leave($id, $who->id, $this->clock->now());
                }
            }
        }
        $made = $welcome = [];
        foreach ($plan->classes as $one) {
            if ($one->taken) {
                $class = $by[$one->id ?? ''] ?? $this->made($who, $one);
                $this->fill($who, $one, $class, $students, $made);
                $welcome[] = $class->id();
            }
        }
        $this->transaction->write();
        foreach ([...$plan->gone, ...self::leaving($plan)] as $id) {
            $this->places->closeUnlessSomewhere($id);
        }
        foreach ($welcome as $id) {
            $this->places->welcome($id);
        }
    }

    private function made(StaffUser $who, PlannedClass $one): SchoolClass
    {
        $class = new SchoolClass($who->teamId, $one->name, $this->codes->fresh(), $who->id, $this->clock->now());
        $this->classes->add($class);

        return $class;
    }

    /**
     * @param array<string, Student> $known by id
     * @param array<string, Student> $made  by what the school's system calls them
     */
    private function fill(StaffUser $who, PlannedClass $one, SchoolClass $class, array $known, array &$made): void
    {
        $now = $this->clock->now();
        $class->knownAs($one->sourceId);
        $class->rename($one->name, $who->id);
        if ($one->teachers !== []) {
            // A class that is made here is nobody's yet but by who took the files.
            $before = $one->id === null ? [] : $class->teachers();
            $class->taughtBy(array_values(array_unique([...$before, ...$one->teachers])), $who->id);
        }
        $added = [];
        foreach ($one->students as $student) {
            switch ($student->fate) {
                case PlannedStudent::ADD:
                    $added[] = $made[$student->sourceId] = new Student($who->teamId, $student->name, $this->pins->seal(Pins::fresh()));
                    $made[$student->sourceId]->knownAs($student->sourceId);
                    break;
                case PlannedStudent::JOIN:
                    $class->takeOver($student->id === null ? $made[$student->sourceId] : $known[$student->id], $who->id, $now);
                    break;
                case PlannedStudent::BACK:
                    $class->comeBack((string) $student->id, $who->id);
                    break;
                case PlannedStudent::LEAVE:
                    $class->leave((string) $student->id, $who->id, $now);
                    break;
            }
        }
        if ($added !== []) {
            $class->take($added, $who->id, $now);
        }
    }

    /** @return list<string> ids of those who leave one of their classes */
    private static function leaving(RosterPlan $plan): array
    {
        $ids = [];
        foreach ($plan->classes as $class) {
            foreach ($class->students as $student) {
                if ($student->fate === PlannedStudent::LEAVE) {
                    $ids[] = (string) $student->id;
                }
            }
        }

        return $ids;
    }

    /** @param list<SchoolClass> $classes */
    private function now(string $teamId, array $classes): RosterNow
    {
        $all = $names = $sources = [];
        foreach ($classes as $class) {
            $students = [];
            foreach ($class->everybody() as $id => $student) {
                if ($student->sourceId() !== null) {
                    $sources[$student->sourceId()] = $student->standsFor();
                }
                if (!$student->isGone()) {
                    $students[$id] = $class->student($id) !== null;
                    $names[$id] = $student->name();
                }
            }
            $all[] = new ClassNow($class->id(), $class->name(), $class->sourceId(), $students, $class->teachers());
        }

        return new RosterNow($all, $names, $sources, $this->staff->teachersByAddress($teamId));
    }
}
