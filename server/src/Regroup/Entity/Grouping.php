<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Entity;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** Groups formed from a handout's results, and kept. A student stands in one of them at most. */
#[ORM\Entity]
#[ORM\Table(name: 'grouping')]
class Grouping implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    protected int $version = 1;

    #[ORM\Column(name: 'archived_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $archivedAt = null;

    /** @var Collection<int, Group> */
    #[ORM\OneToMany(targetEntity: Group::class, mappedBy: 'grouping', cascade: ['persist'])]
    #[ORM\OrderBy(['place' => 'ASC'])]
    protected Collection $groups;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'text')]
        protected string $aim,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
        $this->id = Id::fresh();
        $this->groups = new ArrayCollection();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function add(Group $group): void
    {
        $this->groups->add($group);
    }

    public function keep(): void
    {
        $this->note(new Acted($this->teamId, $this->madeBy, 'keep grouping', 'grouping', $this->id, ['groups' => count($this->groups)]));
    }

    public function has(string $studentId): bool
    {
        return $this->groupOf($studentId) !== null;
    }

    public function group(string $groupId): ?Group
    {
        return $this->groups->findFirst(static fn (int $i, Group $g): bool => $g->id() === $groupId);
    }

    /** What their old group was handed stays theirs. */
    public function move(string $studentId, string $groupId, string $reason, string $by): void
    {
        $from = $this->groupOf($studentId);
        $to = $this->group($groupId);
        if ($from === null || $to === null) {
            throw Problem::notFound('The student or the group');
        }
        if ($from === $to) {
            $from->explain($studentId, $reason);
        } else {
            $from->remove($studentId);
            $to->take($studentId, $reason);
        }
        $this->note(new Acted($this->teamId, $by, 'move', 'grouping', $this->id, ['student' => $studentId, 'group' => $groupId]));
    }

    /** Takes it off the list. What its groups were handed stays. */
    public function archive(string $by, \DateTimeImmutable $at): void
    {
        $this->archivedAt ??= $at;
        $this->note(new Acted($this->teamId, $by, 'archive', 'grouping', $this->id));
    }

    public function restore(string $by): void
    {
        $this->archivedAt = null;
        $this->note(new Acted($this->teamId, $by, 'restore', 'grouping', $this->id));
    }

    private function groupOf(string $studentId): ?Group
    {
        return $this->groups->findFirst(static fn (int $i, Group $g): bool => $g->has($studentId));
    }
}
