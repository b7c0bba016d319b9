<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Entity;

use ChalkLadder\Server\Platform\Storage\Id;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

#[ORM\Entity]
#[ORM\Table(name: 'grouping_group')]
class Group
{
    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    /** @var Collection<int, GroupMember> */
    #[ORM\OneToMany(targetEntity: GroupMember::class, mappedBy: 'group', cascade: ['persist'], orphanRemoval: true)]
    protected Collection $members;

    /** @param string|null $about the misconception that the group is to work on */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'groups')]
        #[ORM\JoinColumn(name: 'grouping_id', nullable: false)]
        protected Grouping $grouping,
        #[ORM\Column(type: 'integer')]
        protected int $place,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'guid', nullable: true)]
        protected ?string $about,
    ) {
        $this->id = Id::fresh();
        $this->members = new ArrayCollection();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function has(string $studentId): bool
    {
        return $this->member($studentId) !== null;
    }

    /** @return list<string> ids */
    public function students(): array
    {
        return array_values($this->members->map(static fn (GroupMember $m): string => $m->studentId())->toArray());
    }

    public function take(string $studentId, string $reason): void
    {
        $this->members->add(new GroupMember($this, $studentId, $reason));
    }

    public function remove(string $studentId): void
    {
        $member = $this->member($studentId);
        if ($member !== null) {
            $this->members->removeElement($member);
        }
    }

    public function explain(string $studentId, string $reason): void
    {
        $this->member($studentId)?->explain($reason);
    }

    private function member(string $studentId): ?GroupMember
    {
        return $this->members->findFirst(static fn (int $i, GroupMember $m): bool => $m->studentId() === $studentId);
    }
}
