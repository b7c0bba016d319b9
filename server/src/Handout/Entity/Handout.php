<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A paper given to classes and students under stated conditions. */
#[ORM\Entity]
#[ORM\Table(name: 'handout')]
class Handout implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(type: 'boolean')]
    protected bool $visible;

    #[ORM\Column(name: 'opens_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $opensAt;

    #[ORM\Column(name: 'closes_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $closesAt;

    #[ORM\Column(name: 'closed_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $closedAt = null;

    /** when it was last opened again; work that was in by then has been told what is told from closing on */
    #[ORM\Column(name: 'closed_until', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $closedUntil = null;

    /** @var Collection<int, HandoutClass> */
    #[ORM\OneToMany(targetEntity: HandoutClass::class, mappedBy: 'handout', cascade: ['persist', 'remove'])]
    protected Collection $classes;

    /** @var Collection<int, HandoutStudent> */
    #[ORM\OneToMany(targetEntity: HandoutStudent::class, mappedBy: 'handout', cascade: ['persist', 'remove'])]
    protected Collection $students;

    /**
     * @param array<string, list<string>> $classes ids, each with those of its students who are not handed it
     * @param list<string> $students ids of everybody who is handed it, those of the classes included
     * @param string|null  $groupId  of a kept grouping, where this is a group's follow-up
     * @param string|null  $followsId    the handout that this one follows by itself, with what its paper says comes next
     * @param string|null  $followsPaper the paper that comes next, whatever its edition
     */
    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'edition_id', type: 'guid')]
        protected string $editionId,
        #[ORM\Column(type: 'text')]
        protected string $title,
        #[ORM\Column(type: 'conditions')]
        protected Conditions $conditions,
        Window $window,
        array $classes,
        array $students,
        #[ORM\Column(name: 'group_id', type: 'guid', nullable: true)]
        protected ?string $groupId,
        #[ORM\Column(name: 'request_id', type: 'guid')]
        protected string $requestId,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
        #[ORM\Column(name: 'follows_id', type: 'guid', nullable: true)]
        protected ?string $followsId = null,
        #[ORM\Column(name: 'follows_paper', type: 'guid', nullable: true)]
        protected ?string $followsPaper = null,
    ) {
        $this->id = Id::fresh();
        $this->setWindow($window);
        $this->classes = new ArrayCollection(array_map(
            fn (string $c, array $without): HandoutClass => new HandoutClass($this, $c, $without),
            array_keys($classes),
            $classes,
        ));
        $this->students = new ArrayCollection(array_map(fn (string $s): HandoutStudent => new HandoutStudent($this, $s), $students));
        $this->note(new Acted($teamId, $madeBy, 'hand out', 'handout', $this->id, ['students' => count($students)]));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function title(): string
    {
        return $this->title;
    }

    public function conditions(): Conditions
    {
        return $this->conditions;
    }

    /** Another edition of its paper from now on, for all that is under way. */
    public function mend(string $editionId, int $number, string $by): void
    {
        if ($this->closedAt !== null) {
            throw Problem::conflict('This handout is closed.', 'Open it again first, or change the key where only that was wrong.');
        }
        $this->note(new Acted($this->teamId, $by, 'mend', 'handout', $this->id, ['from' => $this->editionId, 'edition' => $number]));
        $this->editionId = $editionId;
    }

    /** Who handed it out answers for what follows from it. */
    public function madeBy(): string
    {
        return $this->madeBy;
    }

    /** Hands it to one more student; false where they have it, or where it is closed and hands out no more. */
    public function include(string $studentId): bool
    {
        if ($this->closedAt !== null || $this->students->exists(static fn (int $i, HandoutStudent $s): bool => $s->is($studentId))) {
            return false;
        }
        $this->students->add(new HandoutStudent($this, $studentId));

        return true;
    }

    public function window(): Window
    {
        return new Window($this->visible, $this->opensAt, $this->closesAt, $this->closedAt);
    }

    /** Other times, or out of sight and back. A closed handout is opened again first. */
    public function reschedule(Window $window, string $by): void
    {
        if ($this->closedAt !== null && $window->closesAt?->getTimestamp() !== $this->closesAt?->getTimestamp()) {
            throw Problem::conflict('This handout is closed.', 'Open it again, then set its times.');
        }
        $this->setWindow($window);
        $this->note(new Acted($this->teamId, $by, 'change', 'handout', $this->id, ['visible' => $window->visible]));
    }

    /** False when it was closed already. */
    public function close(string $by, \DateTimeImmutable $at): bool
    {
        if ($this->closedAt !== null) {
            return false;
        }
        $this->closedAt = $at;
        $this->note(new Acted($this->teamId, $by, 'close', 'handout', $this->id));

        return true;
    }

    /**
     * More time than the others have; 0 takes it back.
     *
     * @return int minutes by which it is more than before
     */
    public function giveExtra(string $studentId, int $minutes, string $by): int
    {
        $student = $this->students->findFirst(static fn (int $i, HandoutStudent $s): bool => $s->is($studentId))
            ?? throw Problem::notFound('The student');
        $before = $student->extraMinutes();
        $student->setExtraMinutes($minutes);
        $this->note(new Acted($this->teamId, $by, 'give time', 'handout', $this->id, ['minutes' => $minutes, 'student' => $studentId]));

        return $minutes - $before;
    }

    /**
     * Some or all are to stop and look up. What they are writing stays as it is.
     *
     * @param list<string>|null $students ids; null for all
     */
    public function hold(?array $students, string $words, string $by, \DateTimeImmutable $at): void
    {
        $held = $this->among($students);
        foreach ($held as $student) {
            $student->hold($words, $at);
        }
        $this->note(new Acted($this->teamId, $by, 'hold', 'handout', $this->id, ['students' => count($held)]));
    }

    /**
     * They go on.
     *
     * @param list<string>|null $students ids; null for all
     *
     * @return array<string, int> seconds that each was held, by student; without those who were not
     */
    public function release(?array $students, string $by, \DateTimeImmutable $at): array
    {
        $seconds = [];
        foreach ($this->among($students) as $student) {
            if ($student->isHeld()) {
                $seconds[$student->id()] = $student->release($at);
            }
        }
        $this->note(new Acted($this->teamId, $by, 'release', 'handout', $this->id, ['students' => count($seconds)]));

        return $seconds;
    }

    /**
     * @param list<string>|null $students ids; null for all
     *
     * @return list<HandoutStudent>
     */
    private function among(?array $students): array
    {
        return array_values($this->students->filter(
            static fn (HandoutStudent $s): bool => $students === null || in_array($s->id(), $students, true),
        )->toArray());
    }

    /** @return list<string> ids of students who still have time of their own when that of the others is over */
    public function stillAt(\DateTimeImmutable $now): array
    {
        $still = [];
        foreach ($this->students as $student) {
            if ($student->extraMinutes() > 0 && !$this->window()->withExtra($student->extraMinutes())->isDueAt($now)) {
                $still[] = $student->id();
            }
        }

        return $still;
    }

    /** The closing time is over, also of those who have more; nobody has to do anything for it. */
    public function closeByTheClock(\DateTimeImmutable $now): bool
    {
        if (!$this->window()->isDueAt($now) || $this->stillAt($now) !== []) {
            return false;
        }
        $this->closedAt = $this->closesAt;

        return true;
    }

    public function reopen(string $by, \DateTimeImmutable $now): void
    {
        if (!$this->window()->isClosedAt($now)) {
            throw Problem::conflict('This handout is open.', 'Nothing was altered.');
        }
        $this->closedUntil = $this->closedAt === null ? $this->closedUntil : $now;
        $this->closedAt = null;
        $this->closesAt = $this->closesAt !== null && $this->closesAt <= $now ? null : $this->closesAt;
        $this->note(new Acted($this->teamId, $by, 'reopen', 'handout', $this->id));
    }

    private function setWindow(Window $window): void
    {
        if ($window->opensAt !== null && $window->closesAt !== null && $window->closesAt <= $window->opensAt) {
            throw Problem::invalid(['closesAt' => 'It must close after it opens.']);
        }
        $this->visible = $window->visible;
        $this->opensAt = $window->opensAt;
        $this->closesAt = $window->closesAt;
    }
}
