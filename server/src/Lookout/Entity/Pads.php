<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Entity;

use ChalkLadder\Server\Lookout\Pad;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** The answer pads of a handout: who has which, what was heard of each, and the key by which their receiver is known. */
#[ORM\Entity]
#[ORM\Table(name: 'pads')]
class Pads implements Root, TeamOwned
{
    use Happenings;

    /** Pads that were never given out are noted, but not without end. */
    private const MOST = 400;

    /** Of the receiver's key; null while none may speak. */
    #[ORM\Column(name: 'key_hash', type: 'text', nullable: true)]
    protected ?string $keyHash = null;

    /** @var array<array-key, mixed> by the pad's number */
    #[ORM\Column(type: 'detail')]
    protected array $pads = [];

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'opened_by', type: 'guid')]
        protected string $openedBy,
        #[ORM\Column(name: 'opened_at', type: 'moment')]
        protected \DateTimeImmutable $openedAt,
    ) {
    }

    public function id(): string
    {
        return $this->handoutId;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    /** From now on whoever has this key is the receiver, and nobody else. */
    public function open(string $key): void
    {
        $this->keyHash = hash('sha256', $key);
    }

    public function close(): void
    {
        $this->keyHash = null;
    }

    public function isOpen(): bool
    {
        return $this->keyHash !== null;
    }

    public function knows(string $key): bool
    {
        return $this->keyHash !== null && hash_equals($this->keyHash, hash('sha256', $key));
    }

    /** @return array<array-key, Pad> by number, in their order */
    public function all(): array
    {
        $all = array_map(static fn (mixed $pad): Pad => Pad::read($pad), $this->pads);
        ksort($all, SORT_NATURAL);

        return $all;
    }

    public function pad(string $number): Pad
    {
        return Pad::read($this->pads[$number] ?? null);
    }

    /** What was heard of a pad; whoever was given it meanwhile keeps it. */
    public function hear(string $number, Pad $heard): void
    {
        $this->put($number, $heard->of($this->pad($number)->student));
    }

    private function put(string $number, Pad $pad): void
    {
        if (isset($this->pads[$number]) || count($this->pads) < self::MOST) {
            $this->pads = [$number => $pad->toArray()] + $this->pads;
        }
    }

    /** A student has one pad at most, and a pad one student. */
    public function give(string $number, ?string $studentId): void
    {
        foreach ($studentId === null ? [] : $this->all() as $other => $pad) {
            if ($pad->student === $studentId) {
                $this->put((string) $other, $pad->of(null));
            }
        }
        $this->put($number, $this->pad($number)->of($studentId));
    }
}
