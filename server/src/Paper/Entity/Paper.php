<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Entity;

use ChalkLadder\Core\Paper\Paper as Draft;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A paper of the team's as it is being written. What has been published of it are its editions. */
#[ORM\Entity]
#[ORM\Table(name: 'paper')]
class Paper implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(type: 'text')]
    protected string $title;

    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    protected int $version = 1;

    #[ORM\Column(name: 'archived_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $archivedAt = null;

    /** The request that made it at one stroke; null where it was begun by hand. */
    #[ORM\Column(name: 'request_id', type: 'guid', nullable: true)]
    protected ?string $requestId = null;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'paper')]
        protected Draft $content,
        #[ORM\Column(name: 'updated_by', type: 'guid')]
        protected string $updatedBy,
        #[ORM\Column(name: 'updated_at', type: 'moment')]
        protected \DateTimeImmutable $updatedAt,
    ) {
        $this->id = Id::fresh();
        $this->title = $content->title;
        $this->note(new Acted($teamId, $updatedBy, 'add', 'paper', $this->id, ['title' => $this->title]));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function madeFor(string $requestId): void
    {
        $this->requestId = $requestId;
    }

    public function content(): Draft
    {
        return $this->content;
    }

    public function version(): int
    {
        return $this->version;
    }

    public function updatedBy(): string
    {
        return $this->updatedBy;
    }

    public function updatedAt(): \DateTimeImmutable
    {
        return $this->updatedAt;
    }

    public function save(Draft $content, string $by, \DateTimeImmutable $at): void
    {
        $this->content = $content;
        $this->title = $content->title;
        $this->updatedBy = $by;
        $this->updatedAt = $at;
        $this->note(new Acted($this->teamId, $by, 'change', 'paper', $this->id, ['version' => $this->version + 1]));
    }

    /** Puts it out of the list. What was published and handed out stays. */
    public function archive(string $by, \DateTimeImmutable $at): void
    {
        $this->archivedAt ??= $at;
        $this->note(new Acted($this->teamId, $by, 'archive', 'paper', $this->id));
    }

    public function restore(string $by): void
    {
        $this->archivedAt = null;
        $this->note(new Acted($this->teamId, $by, 'restore', 'paper', $this->id));
    }
}
