<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\StudentInput;
use ChalkLadder\Server\Roster\Api\Input\SupportInput;
use ChalkLadder\Server\Roster\Api\Input\TeachersInput;
use ChalkLadder\Server\Roster\Api\View\ClassListView;
use ChalkLadder\Server\Roster\Api\View\GroupView;
use ChalkLadder\Server\Roster\Api\View\LeaverView;
use ChalkLadder\Server\Roster\Api\View\PinView;
use ChalkLadder\Server\Roster\Api\View\RosterStudentView;
use ChalkLadder\Server\Roster\Api\View\RosterView;
use ChalkLadder\Server\Roster\Api\View\SlipsView;
use ChalkLadder\Server\Roster\Api\View\SlipView;
use ChalkLadder\Server\Roster\Api\View\SupportedView;
use ChalkLadder\Server\Roster\Api\View\SupportView;
use ChalkLadder\Server\Roster\Entity\Group;
use ChalkLadder\Server\Roster\Entity\Member;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use ChalkLadder\Server\Roster\Entity\Student;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\Repository\ClassRepository;
use Symfony\Component\Clock\ClockInterface;

/** Classes: their names, teachers, and what one can do for a student of theirs. */
final readonly class Rosters
{
    public function __construct(
        private ClassRepository $classes,
        private ClassCodes $codes,
        private RosterList $list,
        private Transaction $transaction,
        private Pins $pins,
        private Sessions $sessions,
        private Staff $staff,
        private ClockInterface $clock,
    ) {
    }

    public function list(StaffUser $who): ClassListView
    {
        return new ClassListView($this->list->classes($who->teamId, $who->id));
    }

    public function show(string $teamId, string $id): RosterView
    {
        $class = $this->classes->roster($teamId, $id);
        $staff = $this->staff->teachers($teamId);
        $here = array_map(static fn (Member $m): string => $m->student()->id(), $class->members());

        return new RosterView(
            $id,
            $class->name(),
            $class->code(),
            array_map(
                static fn (Member $m): RosterStudentView => new RosterStudentView(
                    $m->student()->id(),
                    $m->student()->name(),
                    Moment::iso($m->joinedAt()),
                    SupportView::of($m->student()->support()),
                    $m->student()->accountName() !== null,
                ),
                $class->members(),
            ),
            array_map(
                static fn (Member $m): LeaverView => new LeaverView(
                    $m->student()->id(),
                    $m->student()->name(),
                    Moment::isoOrNull($m->leftAt()),
                ),
                $class->leavers(),
            ),
            array_map(
                static fn (Group $g): GroupView => new GroupView(
                    $g->id(),
                    $g->name(),
                    array_values(array_intersect($here, $g->students())),
                ),
                $class->groups(),
            ),
            array_values(array_intersect($class->teachers(), array_column($staff, 'id'))),
            $staff,
            $class->hasPictures(),
        );
    }

    public function create(StaffUser $who, ClassInput $input): RosterView
    {
        $id = $this->transaction->run(function () use ($who, $input): string {
            $class = new SchoolClass(
                $who->teamId,
                $this->freeName($who->teamId, $input->name),
                $this->codes->fresh(),
                $who->id,
                $this->clock->now(),
            );
            $this->classes->add($class);

            return $class->id();
        });

        return $this->show($who->teamId, $id);
    }

    public function rename(StaffUser $who, string $id, ClassInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $class = $this->classes->findLocked($who->teamId, $id) ?? throw Problem::notFound('The class');
            $class->rename(
                mb_strtolower(trim($input->name)) === mb_strtolower($class->name())
                    ? trim($input->name)
                    : $this->freeName($who->teamId, $input->name),
                $who->id,
            );
        });

        return $this->show($who->teamId, $id);
    }

    public function turnPictures(StaffUser $who, string $id, bool $on): RosterView
    {
        $this->transaction->run(function () use ($who, $id, $on): void {
            ($this->classes->findLocked($who->teamId, $id) ?? throw Problem::notFound('The class'))->turnPictures($on, $who->id);
        });

        return $this->show($who->teamId, $id);
    }

    public function taughtBy(StaffUser $who, string $id, TeachersInput $input): RosterView
    {
        $teachers = array_values(array_unique(array_map(strtolower(...), $input->teachers)));
        $this->transaction->run(function () use ($who, $id, $teachers): void {
            $class = $this->classes->findLocked($who->teamId, $id) ?? throw Problem::notFound('The class');
            if (array_diff($teachers, array_column($this->staff->teachers($who->teamId), 'id')) !== []) {
                throw Problem::invalid(['teachers' => 'One of these is no teacher of the team.']);
            }
            $class->taughtBy($teachers, $who->id);
        });

        return $this->show($who->teamId, $id);
    }

    public function slips(StaffUser $who, string $classId): SlipsView
    {
        return $this->transaction->run(function () use ($who, $classId): SlipsView {
            $class = $this->classes->roster($who->teamId, $classId);
            $class->printSlips($who->id);

            return new SlipsView(
                $class->name(),
                $class->code(),
                array_map(
                    function (Member $m) use ($class): SlipView {
                        $pin = $this->pins->open($m->student()->pinSealed());

                        return new SlipView($m->student()->name(), $pin, $class->hasPictures() ? PictureWord::of($pin) : []);
                    },
                    $class->members(),
                ),
            );
        });
    }

    /** A new PIN; the old one, an account of their own and every open session of the student end at once. */
    public function resetPin(StaffUser $who, string $classId, string $studentId): PinView
    {
        $pin = Pins::fresh();
        $pictures = $this->transaction->run(function () use ($who, $classId, $studentId, $pin): bool {
            $class = $this->classes->roster($who->teamId, $classId);
            $student = $class->student($studentId) ?? throw Problem::notFound('The student');
            $student->resetPin($this->pins->seal($pin), $who->id);
            $this->sessions->closeAllOfStudent($studentId);

            return $class->hasPictures();
        });

        return new PinView($pin, $pictures ? PictureWord::of($pin) : []);
    }

    public function supported(string $teamId): SupportedView
    {
        return new SupportedView($this->list->supported($teamId));
    }

    public function support(StaffUser $who, string $classId, string $studentId, SupportInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $classId, $studentId, $input): void {
            $student = $this->classes->lockedRoster($who->teamId, $classId)->student($studentId) ?? throw Problem::notFound('The student');
            $student->supportWith($input->support(), $who->id);
        });

        return $this->show($who->teamId, $classId);
    }

    public function renameStudent(StaffUser $who, string $classId, string $studentId, StudentInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $classId, $studentId, $input): void {
            $name = PersonName::tidy($input->name);
            $fault = PersonName::fault($name);
            if ($fault !== null) {
                throw Problem::invalid(['name' => $fault]);
            }
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            $student = $class->student($studentId) ?? throw Problem::notFound('The student');
            if ($class->hasAnother($student, PersonName::fold($name))) {
                throw Problem::invalid(['name' => 'Somebody of this class already goes by this name. Add an initial.']);
            }
            $student->rename($name, $who->id);
        });

        return $this->show($who->teamId, $classId);
    }

    private function freeName(string $teamId, string $name): string
    {
        $name = trim($name);
        if ($this->list->hasClassNamed($teamId, $name)) {
            throw Problem::invalid(['name' => sprintf('There is already a class called "%s".', $name)]);
        }

        return $name;
    }
}
