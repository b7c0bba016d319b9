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

    /** @var Collection<int, Group> */
    #[ORM\OneToMany(targetEntity: Group::class, mappedBy: 'class', cascade: ['persist'], orphanRemoval: true)]
    protected Collection $groups;

    /** @var list<string> ids of staff; nobody's where it is everybody's */
    #[ORM\Column(type: 'uuid_list')]
    protected array $teachers;

    /** Its students may come in by three pictures instead of a PIN. */
    #[ORM\Column(type: 'boolean')]
    protected bool $pictures = false;

    /** What the school's own system calls it; null where it has not told. */
    #[ORM\Column(name: 'source_id', type: 'text', nullable: true)]
    protected ?string $sourceId = null;

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
        $this->groups = new ArrayCollection();
        $this->teachers = [$by];
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

    public function sourceId(): ?string
    {
        return $this->sourceId;
    }

    public function knownAs(string $sourceId): void
    {
        $this->sourceId = $sourceId;
    }

    public function hasPictures(): bool
    {
        return $this->pictures;
    }

    public function turnPictures(bool $on, string $by): void
    {
        if ($on !== $this->pictures) {
            $this->pictures = $on;
            $this->note(new Acted($this->teamId, $by, $on ? 'pictures' : 'no pictures', 'class', $this->id));
        }
    }

    /** @return list<string> ids of staff */
    public function teachers(): array
    {
        return $this->teachers;
    }

    /** @param list<string> $teachers ids of staff */
    public function taughtBy(array $teachers, string $by): void
    {
        $this->teachers = $teachers;
        $this->note(new Acted($this->teamId, $by, 'change teachers', 'class', $this->id));
    }

    /** @return list<Member> those who are here now, by name */
    public function members(): array
    {
        return $this->those(static fn (Member $m): bool => $m->isHere());
    }

    /** @return list<Member> those who have left, by name */
    public function leavers(): array
    {
        return $this->those(static fn (Member $m): bool => !$m->isHere() && !$m->student()->isGone());
    }

    /** Whether somebody else who is here goes by a name: with code and PIN it is what one signs in with. */
    public function hasAnother(Student $student, string $nameFolded): bool
    {
        return array_filter(
            $this->members(),
            static fn (Member $m): bool => $m->student() !== $student && $m->student()->nameFolded() === $nameFolded,
        ) !== [];
    }

    /** @return list<Group> by name */
    public function groups(): array
    {
        $groups = array_values($this->groups->toArray());
        usort($groups, static fn (Group $a, Group $b): int => strnatcasecmp($a->name(), $b->name()));

        return $groups;
    }

    public function group(string $id): ?Group
    {
        return $this->groups->findFirst(static fn (int $i, Group $g): bool => $g->id() === $id);
    }

    public function hasGroupNamed(string $name, ?Group $beside): bool
    {
        return $this->groups->exists(
            static fn (int $i, Group $g): bool => $g !== $beside && mb_strtolower($g->name()) === mb_strtolower($name),
        );
    }

    /** @param list<string> $students ids */
    public function addGroup(string $name, array $students): void
    {
        $this->groups->add(new Group($this, $name, $students));
    }

    public function dropGroup(Group $group): void
    {
        $this->groups->removeElement($group);
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

    /** Takes in a student of another class; whoever has been here before comes back to their place. */
    public function takeOver(Student $student, string $by, \DateTimeImmutable $at): void
    {
        $member = $this->placeOf($student->id());
        $member?->comeBack();
        if ($member === null) {
            $this->members->add(new Member($this, $student, $at));
        }
        $this->note(new Acted($this->teamId, $by, 'take over', 'student', $student->id(), ['class' => $this->id]));
    }

    /** @return array<string, Student> whoever has had a place here, by id */
    public function everybody(): array
    {
        $students = [];
        foreach ($this->members as $member) {
            $students[$member->student()->id()] = $member->student();
        }

        return $students;
    }

    /** Whoever has had a place here, whether they are here now or not. */
    public function anybody(string $studentId): ?Student
    {
        return $this->placeOf($studentId)?->student();
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

    /**
     * @param \Closure(Member): bool $which
     *
     * @return list<Member> by name
     */
    private function those(\Closure $which): array
    {
        $found = array_values($this->members->filter($which)->toArray());
        $order = static fn (Member $m): array => [$m->student()->nameFolded(), $m->student()->id()];
        usort($found, static fn (Member $a, Member $b): int => $order($a) <=> $order($b));

        return $found;
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
