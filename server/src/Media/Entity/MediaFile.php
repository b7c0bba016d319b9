<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A picture of the team's. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'file')]
class MediaFile implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'media_type', type: 'text')]
        protected string $mediaType,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'bytes')]
        protected string $bytes,
        #[ORM\Column(name: 'created_at', type: 'moment')]
        protected \DateTimeImmutable $createdAt,
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

    public function mediaType(): string
    {
        return $this->mediaType;
    }

    public function bytes(): string
    {
        return $this->bytes;
    }
}
