<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Server\Sitting\HandMark;
use ChalkLadder\Server\Sitting\ReadModel\OutcomeColumns;
use Doctrine\ORM\Mapping as ORM;

/** What a student gave to one question at one try, what the machine made of it, and what a person did. */
#[ORM\Entity]
#[ORM\Table(name: 'response')]
class StoredResponse
{
    #[ORM\Column(type: 'boolean')]
    protected bool $settled = false;

    #[ORM\Column(name: 'hints_opened', type: 'smallint')]
    protected int $hintsOpened = 0;

    #[ORM\Column(type: 'text', nullable: true)]
    protected ?string $credit = null;

    #[ORM\Column(type: 'text')]
    protected string $verdict = Verdict::None->value;

    #[ORM\Column(type: 'text')]
    protected string $line = '';

    #[ORM\Column(name: 'read_as', type: 'text')]
    protected string $readAs = '';

    /** @var list<string> ids */
    #[ORM\Column(type: 'uuid_list')]
    protected array $misconceptions = [];

    #[ORM\Column(name: 'hand_credit', type: 'exact', nullable: true)]
    protected ?BigRational $handCredit = null;

    /** @var list<int|null>|null */
    #[ORM\Column(name: 'hand_levels', type: 'detail', nullable: true)]
    protected ?array $handLevels = null;

    #[ORM\Column(name: 'hand_by', type: 'guid', nullable: true)]
    protected ?string $handBy = null;

    #[ORM\Column(name: 'hand_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $handAt = null;

    #[ORM\Column(type: 'text')]
    protected string $comment = '';

    #[ORM\Column(name: 'mark_version', type: 'integer')]
    protected int $markVersion = 0;

    #[ORM\Column(type: 'integer', nullable: true)]
    protected ?int $millis = null;

    #[ORM\Column(type: 'smallint', nullable: true)]
    protected ?int $confidence = null;

    /** What was shown beside the answer. */
    #[ORM\Column(type: 'response', nullable: true)]
    protected ?Response $working = null;

    private function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'responses')]
        #[ORM\JoinColumn(name: 'sitting_id', nullable: false)]
        protected Sitting $sitting,
        #[ORM\Id]
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        protected int $try,
        #[ORM\Column(type: 'response')]
        protected Response $value,
        #[ORM\Column(type: 'bigint')]
        protected int $counter,
        #[ORM\Column(name: 'client_id', type: 'text')]
        protected string $clientId,
        #[ORM\Column(name: 'saved_at', type: 'moment')]
        protected \DateTimeImmutable $savedAt,
    ) {
    }

    /**
     * A place for what is known of a question before it is answered: that its hint was opened, that it was left for good. Answers are
     * written by {@see \ChalkLadder\Server\Sitting\ReadModel\Saving}.
     */
    public static function blank(Sitting $sitting, string $entry, int $try, \DateTimeImmutable $at): self
    {
        $blank = new self($sitting, $entry, $try, new TextResponse(''), 0, 'blank', $at);
        $blank->replaceOutcome(Outcome::nothing());

        return $blank;
    }

    public function isTo(string $entry, int $try): bool
    {
        return $this->entry === $entry && $this->try === $try;
    }

    public function value(): Response
    {
        return $this->value;
    }

    /** Another answer in its place. The device's count of its changes stays, so that whatever the student enters next is newer. */
    public function replace(Response $value): void
    {
        $this->value = $value;
    }

    public function isSettled(): bool
    {
        return $this->settled;
    }

    public function settle(): void
    {
        $this->settled = true;
    }

    public function openHint(): void
    {
        ++$this->hintsOpened;
    }

    public function hintsOpened(): int
    {
        return $this->hintsOpened;
    }

    public function replaceOutcome(Outcome $outcome): void
    {
        $columns = OutcomeColumns::of($outcome);
        $this->credit = $columns->credit;
        $this->verdict = $columns->verdict;
        $this->line = $columns->line;
        $this->readAs = $columns->readAs;
        $this->misconceptions = $columns->misconceptions;
    }

    /** What a person has given; null while nobody has. */
    public function handMark(): ?HandMark
    {
        return $this->handBy === null || $this->handAt === null ? null : new HandMark(
            $this->handCredit,
            $this->handLevels,
            $this->comment,
            $this->misconceptions,
            $this->handBy,
            $this->handAt,
        );
    }

    public function markByHand(HandMark $mark): void
    {
        $this->handCredit = $mark->credit;
        $this->handLevels = $mark->levels;
        $this->comment = $mark->comment;
        $this->misconceptions = $mark->misconceptions;
        $this->handBy = $mark->by;
        $this->handAt = $mark->at;
        ++$this->markVersion;
    }
}
