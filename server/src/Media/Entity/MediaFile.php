<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Entity;

use ChalkLadder\Server\Media\Content;
use ChalkLadder\Server\Media\Kind;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A file of the team's, or of a student's in one sitting. What it holds lies on the {@see \ChalkLadder\Server\Media\Shelf}. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'file')]
class MediaFile implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;
    #[ORM\Column(name: 'media_type', type: 'text')]
    protected string $mediaType;
    #[ORM\Column(type: 'integer', nullable: true)]
    protected ?int $width;
    #[ORM\Column(type: 'integer', nullable: true)]
    protected ?int $height;
    #[ORM\Column(type: 'integer', nullable: true)]
    protected ?int $pages;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'sitting_id', type: 'guid', nullable: true)]
        protected ?string $sittingId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'text')]
        protected string $hash,
        #[ORM\Column(type: 'bigint')]
        protected int $size,
        Content $content,
        #[ORM\Column(name: 'created_at', type: 'moment')]
        protected \DateTimeImmutable $createdAt,
    ) {
        $this->id = Id::fresh();
        $this->mediaType = $content->mediaType;
        $this->width = $content->width;
        $this->height = $content->height;
        $this->pages = $content->pages === [] ? null : count($content->pages);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function sittingId(): ?string
    {
        return $this->sittingId;
    }

    public function mediaType(): string
    {
        return $this->mediaType;
    }

    public function kind(): Kind
    {
        return Kind::ofType($this->mediaType) ?? throw new \LogicException('Only files of known kinds are kept.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function size(): int
    {
        return $this->size;
    }

    public function width(): ?int
    {
        return $this->width;
    }

    public function height(): ?int
    {
        return $this->height;
    }

    public function pages(): int
    {
        return $this->pages ?? 0;
    }

    /** Where its bytes lie. */
    public function key(): string
    {
        return self::keyOf($this->teamId, $this->hash);
    }

    public function pageKey(int $page): string
    {
        return $this->key()."-$page.png";
    }

    /** The same bytes lie in a team's part of the shelf once. */
    public static function keyOf(string $teamId, string $hash): string
    {
        return $teamId.'/'.substr($hash, 0, 2).'/'.$hash;
    }
}
