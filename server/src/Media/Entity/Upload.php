<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Entity;

use ChalkLadder\Server\Media\Kind;
use ChalkLadder\Server\Media\Owner;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A file on its way, piece by piece. It goes on where it stopped, and remembers for a day what came of it. */
#[ORM\Entity]
#[ORM\Table(name: 'upload')]
class Upload implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;
    #[ORM\Column(name: 'team_id', type: 'guid')]
    protected string $teamId;
    #[ORM\Column(name: 'staff_id', type: 'guid', nullable: true)]
    protected ?string $staffId;
    #[ORM\Column(name: 'sitting_id', type: 'guid', nullable: true)]
    protected ?string $sittingId;
    #[ORM\Column(type: 'bigint')]
    protected int $received = 0;
    #[ORM\Column(name: 'file_id', type: 'guid', nullable: true)]
    protected ?string $fileId = null;
    #[ORM\Column(type: 'text', nullable: true)]
    protected ?string $refused = null;
    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    protected array $kinds;

    /** @param non-empty-list<Kind> $kinds */
    public function __construct(
        Owner $owner,
        #[ORM\Column(type: 'text')]
        protected string $name,
        array $kinds,
        #[ORM\Column(type: 'bigint')]
        protected int $size,
        #[ORM\Column(name: 'begun_at', type: 'moment')]
        protected \DateTimeImmutable $begunAt,
    ) {
        $this->id = Id::fresh();
        $this->teamId = $owner->teamId;
        $this->staffId = $owner->staffId;
        $this->sittingId = $owner->sittingId;
        $this->kinds = array_map(static fn (Kind $k): string => $k->value, $kinds);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function isOf(Owner $owner): bool
    {
        return $this->teamId === $owner->teamId && $this->staffId === $owner->staffId && $this->sittingId === $owner->sittingId;
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return non-empty-list<Kind> */
    public function kinds(): array
    {
        $kinds = array_map(Kind::from(...), $this->kinds);

        return $kinds === [] ? throw new \LogicException('An upload allows some kind.') : $kinds;
    }

    public function size(): int
    {
        return $this->size;
    }

    public function received(): int
    {
        return $this->received;
    }

    public function fileId(): ?string
    {
        return $this->fileId;
    }

    public function refusedFor(): ?string
    {
        return $this->refused;
    }

    public function isOnItsWay(): bool
    {
        return $this->fileId === null && $this->refused === null;
    }

    /** Where the piece that begins at a byte lies. */
    public function pieceKey(int $at): string
    {
        return self::folderOf($this->id).'/'.str_pad((string) $at, 12, '0', \STR_PAD_LEFT);
    }

    public static function folderOf(string $id): string
    {
        return "pieces/$id";
    }

    public function take(int $length): void
    {
        $this->received += $length;
    }

    public function isWhole(): bool
    {
        return $this->received === $this->size;
    }

    public function became(string $fileId): void
    {
        $this->fileId = $fileId;
    }

    public function refuse(string $why): void
    {
        $this->refused = $why;
    }
}
