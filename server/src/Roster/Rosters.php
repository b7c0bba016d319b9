<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Api\Input\StudentInput;
use ChalkLadder\Server\Roster\Api\Input\SupportInput;
use ChalkLadder\Server\Roster\Api\View\ClassListView;
use ChalkLadder\Server\Roster\Api\View\PinView;
use ChalkLadder\Server\Roster\Api\View\RosterLineView;
use ChalkLadder\Server\Roster\Api\View\RosterPreviewView;
use ChalkLadder\Server\Roster\Api\View\RosterStudentView;
use ChalkLadder\Server\Roster\Api\View\RosterView;
use ChalkLadder\Server\Roster\Api\View\SlipsView;
use ChalkLadder\Server\Roster\Api\View\SlipView;
use ChalkLadder\Server\Roster\Api\View\SupportedView;
use ChalkLadder\Server\Roster\Api\View\SupportView;
use ChalkLadder\Server\Roster\Entity\Member;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use ChalkLadder\Server\Roster\Entity\Student;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\Repository\ClassRepository;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Classes and who is in them. */
final readonly class Rosters
{
    /** Without letters and digits that look alike on a projector. */
    private const CODE_LETTERS = 'BCDFGHJKLMNPRSTVWXZ';

    /** @param iterable<WelcomesMembers> $welcome */
    public function __construct(
        private ClassRepository $classes,
        private RosterList $list,
        private Transaction $transaction,
        private Pins $pins,
        private Sessions $sessions,
        private ClockInterface $clock,
        #[AutowireIterator(WelcomesMembers::class)]
        private iterable $welcome,
    ) {
    }

    public function list(string $teamId): ClassListView
    {
        return new ClassListView($this->list->classes($teamId));
    }

    public function show(string $teamId, string $id): RosterView
    {
        $class = $this->find($teamId, $id);

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
                ),
                $class->members(),
            ),
        );
    }

    public function create(StaffUser $who, ClassInput $input): RosterView
    {
        $id = $this->transaction->run(function () use ($who, $input): string {
            $class = new SchoolClass(
                $who->teamId,
                $this->freeName($who->teamId, $input->name),
                $this->freshCode(),
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

    public function preview(string $teamId, string $classId, RosterInput $input): RosterPreviewView
    {
        return self::read($this->find($teamId, $classId), $input);
    }

    public function add(StaffUser $who, string $classId, RosterInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $classId, $input): void {
            $class = $this->locked($who->teamId, $classId);
            $students = [];
            foreach (self::read($class, $input)->lines as $line) {
                if ($line->fate === 'add' && !in_array($line->line, $input->skip, true)) {
                    $students[] = new Student($who->teamId, $line->name, $this->pins->seal(Pins::fresh()));
                }
            }
            $class->take($students, $who->id, $this->clock->now());
            $this->welcome($classId);
        });

        return $this->show($who->teamId, $classId);
    }

    public function slips(StaffUser $who, string $classId): SlipsView
    {
        return $this->transaction->run(function () use ($who, $classId): SlipsView {
            $class = $this->find($who->teamId, $classId);
            $class->printSlips($who->id);

            return new SlipsView(
                $class->name(),
                $class->code(),
                array_map(
                    fn (Member $m): SlipView => new SlipView($m->student()->name(), $this->pins->open($m->student()->pinSealed())),
                    $class->members(),
                ),
            );
        });
    }

    /** A new PIN; the old one and every open session of the student end at once. */
    public function resetPin(StaffUser $who, string $classId, string $studentId): PinView
    {
        $pin = Pins::fresh();
        $this->transaction->run(function () use ($who, $classId, $studentId, $pin): void {
            $this->student($who->teamId, $classId, $studentId)->resetPin($this->pins->seal($pin), $who->id);
            $this->sessions->closeAllOfStudent($studentId);
        });

        return new PinView($pin);
    }

    public function supported(string $teamId): SupportedView
    {
        return new SupportedView($this->list->supported($teamId));
    }

    public function support(StaffUser $who, string $classId, string $studentId, SupportInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $classId, $studentId, $input): void {
            $student = $this->locked($who->teamId, $classId)->student($studentId) ?? throw Problem::notFound('The student');
            $student->supportWith($input->support(), $who->id);
        });

        return $this->show($who->teamId, $classId);
    }

    public function renameStudent(StaffUser $who, string $classId, string $studentId, StudentInput $input): RosterView
    {
        $this->transaction->run(function () use ($who, $classId, $studentId, $input): void {
            $name = NameList::tidy($input->name);
            $fault = NameList::fault($name);
            if ($fault !== null) {
                throw Problem::invalid(['name' => $fault]);
            }
            $class = $this->locked($who->teamId, $classId);
            $student = $class->student($studentId) ?? throw Problem::notFound('The student');
            foreach ($class->members() as $member) {
                if ($member->student() !== $student && $member->student()->nameFolded() === NameList::fold($name)) {
                    throw Problem::invalid(['name' => 'Somebody of this class already goes by this name. Add an initial.']);
                }
            }
            $student->rename($name, $who->id);
        });

        return $this->show($who->teamId, $classId);
    }

    /** Takes a student off the roster; their sessions end, their work stays. */
    public function leave(StaffUser $who, string $classId, string $studentId): void
    {
        $this->transaction->run(function () use ($who, $classId, $studentId): void {
            if (!$this->locked($who->teamId, $classId)->leave($studentId, $who->id, $this->clock->now())) {
                throw Problem::notFound('The student');
            }
            $this->transaction->write();
            if (!$this->list->isAnywhere($studentId)) {
                $this->sessions->closeAllOfStudent($studentId);
            }
        });
    }

    public function comeBack(StaffUser $who, string $classId, string $studentId): void
    {
        $this->transaction->run(function () use ($who, $classId, $studentId): void {
            if (!$this->locked($who->teamId, $classId)->comeBack($studentId, $who->id)) {
                throw Problem::notFound('The student');
            }
            $this->welcome($classId);
        });
    }

    /** Whoever comes into a class is handed what the class has open. */
    private function welcome(string $classId): void
    {
        $this->transaction->write();
        foreach ($this->welcome as $room) {
            $room->welcome($classId);
        }
    }

    /** What would become of each line of a pasted list. */
    private static function read(SchoolClass $class, RosterInput $input): RosterPreviewView
    {
        $here = array_flip(array_map(static fn (Member $m): string => $m->student()->nameFolded(), $class->members()));
        $seen = [];
        $lines = [];
        $adds = 0;
        foreach (NameList::read($input->text) as $row) {
            $folded = NameList::fold($row['name']);
            $fault = NameList::fault($row['name']);
            [$fate, $note] = match (true) {
                $fault !== null => ['fault', $fault],
                isset($here[$folded]) => ['here', ''],
                isset($seen[$folded]) => [
                    'double',
                    sprintf('The same as line %d. If they are two people, add an initial.', $seen[$folded]),
                ],
                default => ['add', ''],
            };
            $seen[$folded] ??= $row['line'];
            $adds += $fate === 'add' ? 1 : 0;
            $lines[] = new RosterLineView($row['line'], $row['name'], $fate, $note);
        }

        return new RosterPreviewView($lines, $adds);
    }

    private function find(string $teamId, string $id): SchoolClass
    {
        return $this->classes->withMembers($this->classes->find($teamId, $id) ?? throw Problem::notFound('The class'));
    }

    private function locked(string $teamId, string $id): SchoolClass
    {
        return $this->classes->withMembers($this->classes->findLocked($teamId, $id) ?? throw Problem::notFound('The class'));
    }

    private function student(string $teamId, string $classId, string $studentId): Student
    {
        return $this->find($teamId, $classId)->student($studentId) ?? throw Problem::notFound('The student');
    }

    private function freeName(string $teamId, string $name): string
    {
        $name = trim($name);
        if ($this->list->hasClassNamed($teamId, $name)) {
            throw Problem::invalid(['name' => sprintf('There is already a class called "%s".', $name)]);
        }

        return $name;
    }

    private function freshCode(): string
    {
        do {
            $code = '';
            for ($i = 0; $i < 5; ++$i) {
                $code .= self::CODE_LETTERS[random_int(0, strlen(self::CODE_LETTERS) - 1)];
            }
        } while ($this->list->hasCode($code));

        return $code;
    }
}
