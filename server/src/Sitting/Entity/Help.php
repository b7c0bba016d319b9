<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/**
 * A student helps another with one question, because their teacher asked them to; each is known to the other by an alias. A sitting is
 * helped by one at a time, and a student helps one at a time; the database sees to that.
 */
#[ORM\Entity]
#[ORM\Table(name: 'help')]
class Help implements Root, TeamOwned
{
    use Happenings;

    public const BY_TEACHER = 'teacher';
    public const BY_HELPED = 'helped';
    public const BY_HELPER = 'helper';
    private const MOST_LINES = 60;

    #[ORM\Column(name: 'taken_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $takenAt = null;

    #[ORM\Column(name: 'over_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $overAt = null;

    #[ORM\Column(name: 'over_by', type: 'text', nullable: true)]
    protected ?string $overBy = null;

    /** @var Collection<string, HelpLine> by id */
    #[ORM\OneToMany(targetEntity: HelpLine::class, mappedBy: 'help', cascade: ['persist'], indexBy: 'id')]
    protected Collection $lines;

    /**
     * @param string $id        made by the client, so that one sent twice is asked once
     * @param string $sittingId of the one who is helped
     * @param string $entry     the question, with its try
     * @param string $helperId  the student who helps
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'sitting_id', type: 'guid')]
        protected string $sittingId,
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Column(type: 'integer')]
        protected int $try,
        #[ORM\Column(name: 'helper_id', type: 'guid')]
        protected string $helperId,
        #[ORM\Column(name: 'helped_as', type: 'text')]
        protected string $helpedAs,
        #[ORM\Column(name: 'helper_as', type: 'text')]
        protected string $helperAs,
        #[ORM\Column(name: 'asked_by', type: 'guid')]
        protected string $askedBy,
        #[ORM\Column(name: 'asked_at', type: 'moment')]
        protected \DateTimeImmutable $askedAt,
    ) {
        $this->lines = new ArrayCollection();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function handoutId(): string
    {
        return $this->handoutId;
    }

    public function sittingId(): string
    {
        return $this->sittingId;
    }

    public function helperId(): string
    {
        return $this->helperId;
    }

    public function entry(): string
    {
        return $this->entry;
    }

    public function try(): int
    {
        return $this->try;
    }

    public function isOver(): bool
    {
        return $this->overAt !== null;
    }

    /** The helper says yes. */
    public function take(\DateTimeImmutable $at): void
    {
        $this->refuseIfOver();
        $this->takenAt ??= $at;
    }

    public function stop(string $by, \DateTimeImmutable $at): void
    {
        if ($this->overAt === null) {
            $this->overAt = $at;
            $this->overBy = $by;
        }
    }

    /** The teacher stopped it by a slip of the hand. What a student has stopped stays so. */
    public function resume(): void
    {
        if ($this->overBy === self::BY_TEACHER) {
            $this->overAt = $this->overBy = null;
        }
    }

    /** Something is said; sent twice, it is said once. */
    public function say(HelpLine $line): void
    {
        if ($this->lines->containsKey($line->id())) {
            return;
        }
        $this->refuseIfOver();
        if ($this->takenAt === null) {
            throw Problem::conflict('Nobody has said yes yet.', 'Wait until they do.');
        }
        if ($this->lines->count() >= self::MOST_LINES) {
            throw Problem::conflict('That is all that can be said here.', 'Ask your teacher.');
        }
        $this->lines->set($line->id(), $line);
    }

    /** The teacher has read a line that was held back, and lets it through. */
    public function letThrough(string $lineId, \DateTimeImmutable $at): void
    {
        $line = $this->lines->get($lineId) ?? throw Problem::notFound('The line');
        $line->letThrough($at);
    }

    private function refuseIfOver(): void
    {
        if ($this->overAt !== null) {
            throw self::over();
        }
    }

    public static function over(): Problem
    {
        return Problem::conflict('This help is over.', 'Ask your teacher if you are stuck.');
    }
}
