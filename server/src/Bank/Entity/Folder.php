<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** Questions of the bank put together under a name, by the team or by one person for themselves. A question may lie in several. */
#[ORM\Entity]
#[ORM\Table(name: 'folder')]
class Folder implements Root, TeamOwned
{
    use Happenings;

    public const MOST_ITEMS = 5000;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    /** @var list<string> ids */
    #[ORM\Column(type: 'uuid_list')]
    protected array $items = [];

    /** @param string|null $staffId whose own it is; null for the team's */
    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'staff_id', type: 'guid', nullable: true)]
        protected ?string $staffId,
        #[ORM\Column(type: 'text')]
        protected string $name,
    ) {
        $this->id = Id::fresh();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    /** The same rule stands in SQL as {@see \ChalkLadder\Server\Bank\ReadModel\FolderList::SEEN}. */
    public function isSeenBy(string $staffId): bool
    {
        return $this->staffId === null || $this->staffId === $staffId;
    }

    public function isOwn(): bool
    {
        return $this->staffId !== null;
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    /**
     * @param list<string> $put  ids of questions
     * @param list<string> $take
     *
     * @return list<string> those that came in, and were not there before
     */
    public function change(array $put, array $take): array
    {
        $before = $this->items;
        $this->items = array_values(array_unique(array_diff([...$before, ...$put], $take)));

        return array_values(array_diff($this->items, $before));
    }

    public function size(): int
    {
        return count($this->items);
    }
}
