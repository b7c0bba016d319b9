<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Entity;

use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A teaching class and its roster. */
#[ORM\Entity]
#[ORM\Table(name: 'class')]
class SchoolClass implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    /** @var Collection<int, Member> */
    #[ORM\OneToMany(targetEntity: Member::class, mappedBy: 'class', cascade: ['persist'])]
    protected Collection $members;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'text')]
        protected string $code,
        string $by,
        #[ORM\Column(name: 'created_at', type: 'moment')]
        protected \DateTimeImmutable $createdAt,
    ) {
        $this->id = Id::fresh();
        $this->members = new ArrayCollection();
        $this->note(new Acted($teamId, $by, 'add', 'class', $this->id, ['name' => $name]));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function code(): string
    {
        return $this->code;
    }

    public function rename(string $name, string $by): void
    {
        if ($name !== $this->name) {
            $this->note(new Acted($this->teamId, $by, 'rename', 'class', $this->id, ['from' => $this->name]));
            $this->name = $name;
        }
    }

    /** @return list<Member> those who are here now, by name */
    public function members(): array
    {
        $here = array_values($this->members->filter(static fn (Member $m): bool => $m->isHere())->toArray());
        usort(
            $here,
            static fn (Member $a, Member $b): int => [
                $a->student()->nameFolded(),
                $a->student()->id(),
            ] <=> [$b->student()->nameFolded(), $b->student()->id()],
        );

        return $here;
    }

    /** @param list<Student> $students */
    public function take(array $students, string $by, \DateTimeImmutable $at): void
    {
        foreach ($students as $student) {
            $this->members->add(new Member($this, $student, $at));
        }
        $this->note(new Acted($this->teamId, $by, 'add students', 'class', $this->id, ['count' => count($students)]));
    }

    /** Takes a student off the roster; their work stays. False when they have no place here. */
    public function leave(string $studentId, string $by, \DateTimeImmutable $at): bool
    {
        $member = $this->placeOf($studentId);
        $member?->leave($at);

        return $this->told($member, 'leave', $studentId, $by);
    }

    public function comeBack(string $studentId, string $by): bool
    {
        $member = $this->placeOf($studentId);
        $member?->comeBack();

        return $this->told($member, 'rejoin', $studentId, $by);
    }

    /** A student who is here now. */
    public function student(string $studentId): ?Student
    {
        $member = $this->placeOf($studentId);

        return $member?->isHere() === true ? $member->student() : null;
    }

    public function printSlips(string $by): void
    {
        $this->note(new Acted($this->teamId, $by, 'print slips', 'class', $this->id));
    }

    private function placeOf(string $studentId): ?Member
    {
        return $this->members->findFirst(static fn (int $i, Member $m): bool => $m->student()->id() === $studentId);
    }

    private function told(?Member $member, string $act, string $studentId, string $by): bool
    {
        if ($member !== null) {
            $this->note(new Acted($this->teamId, $by, $act, 'student', $studentId, ['class' => $this->id]));
        }

        return $member !== null;
    }
}
