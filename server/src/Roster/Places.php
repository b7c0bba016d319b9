<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Api\View\RosterLineView;
use ChalkLadder\Server\Roster\Api\View\RosterPreviewView;
use ChalkLadder\Server\Roster\Entity\Member;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use ChalkLadder\Server\Roster\Entity\Student;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\Repository\ClassRepository;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Who comes into a class, leaves it, comes back to it or moves to another. Their work is their own and goes with them. */
final readonly class Places
{
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

    public function preview(string $teamId, string $classId, RosterInput $input): RosterPreviewView
    {
        return self::read($this->classes->roster($teamId, $classId), $input);
    }

    public function add(StaffUser $who, string $classId, RosterInput $input): void
    {
        $this->transaction->run(function () use ($who, $classId, $input): void {
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            $left = self::leavers($class);
            $students = [];
            foreach (self::read($class, $input)->lines as $line) {
                if ($line->fate === 'add') {
                    $students[] = new Student($who->teamId, $line->name, $this->pins->seal(Pins::fresh()));
                }
                if ($line->fate === 'back') {
                    $class->comeBack($left[PersonName::fold($line->name)], $who->id);
                }
            }
            if ($students !== []) {
                $class->take($students, $who->id, $this->clock->now());
            }
            $this->welcome($classId);
        });
    }

    /** Takes a student off the roster; their sessions end, their work stays. */
    public function leave(StaffUser $who, string $classId, string $studentId): void
    {
        $this->transaction->run(function () use ($who, $classId, $studentId): void {
            if (!$this->classes->lockedRoster($who->teamId, $classId)->leave($studentId, $who->id, $this->clock->now())) {
                throw Problem::notFound('The student');
            }
            $this->transaction->write();
            $this->closeUnlessSomewhere($studentId);
        });
    }

    public function comeBack(StaffUser $who, string $classId, string $studentId): void
    {
        $this->transaction->run(function () use ($who, $classId, $studentId): void {
            $class = $this->classes->lockedRoster($who->teamId, $classId);
            self::mustBeFree($class, $class->anybody($studentId) ?? throw Problem::notFound('The student'));
            $class->comeBack($studentId, $who->id);
            $this->welcome($classId);
        });
    }

    /** From one class into another. They stay signed in, and are handed what the other class has open. */
    public function move(StaffUser $who, string $classId, string $studentId, string $to): void
    {
        if ($classId === $to) {
            throw Problem::invalid(['to' => 'They are in this class already.']);
        }
        $this->transaction->run(function () use ($who, $classId, $studentId, $to): void {
            [$from, $into] = $this->classes->findTwoLocked($who->teamId, $classId, $to) ?? throw Problem::notFound('The class');
            $student = $this->classes->withMembers($from)->student($studentId) ?? throw Problem::notFound('The student');
            self::mustBeFree($this->classes->withMembers($into), $student);
            $now = $this->clock->now();
            $from->leave($studentId, $who->id, $now);
            $into->takeOver($student, $who->id, $now);
            $this->welcome($to);
        });
    }

    private static function mustBeFree(SchoolClass $class, Student $student): void
    {
        if ($student->isGone()) {
            throw Problem::notFound('The student');
        }
        if ($class->hasAnother($student, $student->nameFolded())) {
            throw new Problem(
                422,
                sprintf('Somebody else in %s goes by the name %s.', $class->name(), $student->name()),
                'Names are signed in with. Rename one of the two first, with an initial for instance.',
            );
        }
    }

    /** Who is in no class any more is signed out everywhere. */
    public function closeUnlessSomewhere(string $studentId): void
    {
        if (!$this->list->isAnywhere($studentId)) {
            $this->sessions->closeAllOfStudent($studentId);
        }
    }

    /** Whoever comes into a class is handed what the class has open. */
    public function welcome(string $classId): void
    {
        $this->transaction->write();
        foreach ($this->welcome as $room) {
            $room->welcome($classId);
        }
    }

    /** @return array<string, string> ids of those who have left, by folded name; whoever shares a name is not guessed */
    private static function leavers(SchoolClass $class): array
    {
        $ids = $names = [];
        foreach ($class->leavers() as $member) {
            $ids[$member->student()->nameFolded()] = $member->student()->id();
            $names[] = $member->student()->nameFolded();
        }

        return array_intersect_key($ids, array_filter(array_count_values($names), static fn (int $n): bool => $n === 1));
    }

    /** What would become of each line of a pasted list. */
    private static function read(SchoolClass $class, RosterInput $input): RosterPreviewView
    {
        $here = array_flip(array_map(static fn (Member $m): string => $m->student()->nameFolded(), $class->members()));
        $left = self::leavers($class);
        $seen = [];
        $lines = [];
        $adds = 0;
        foreach (NameList::read($input->text) as $row) {
            $name = PersonName::tidy($input->names[$row['line']] ?? $row['name']);
            $folded = PersonName::fold($name);
            $fault = PersonName::fault($name);
            [$fate, $note] = match (true) {
                in_array($row['line'], $input->skip, true) => ['left out', ''],
                $fault !== null => ['fault', $fault],
                isset($here[$folded]) => ['here', ''],
                isset($seen[$folded]) => [
                    'double',
                    sprintf('The same as line %d. If they are two people, add an initial.', $seen[$folded]),
                ],
                isset($left[$folded]) => ['back', 'Was here before; their work is still theirs. For somebody new, add an initial.'],
                default => ['add', ''],
            };
            if ($fate !== 'left out') {
                $seen[$folded] ??= $row['line'];
            }
            $adds += $fate === 'add' || $fate === 'back' ? 1 : 0;
            $lines[] = new RosterLineView($row['line'], $row['given'], $name, $fate, $note);
        }

        return new RosterPreviewView($lines, $adds);
    }
}
