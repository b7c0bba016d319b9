<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Entity;

use ChalkLadder\Core\Item\ProposedQuestion;
use ChalkLadder\Server\Peers\ProposalState;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A question that a student wrote. Nobody but its writer and the team sees it until a teacher shows it to the class. */
#[ORM\Entity]
#[ORM\Table(name: 'proposal')]
class Proposal implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(type: 'text', enumType: ProposalState::class)]
    protected ProposalState $state = ProposalState::Waiting;

    #[ORM\Column(type: 'text')]
    protected string $words = '';

    #[ORM\Column(type: 'boolean')]
    protected bool $shown = false;

    #[ORM\Column(type: 'boolean')]
    protected bool $named = false;

    #[ORM\Column(name: 'item_id', type: 'guid', nullable: true)]
    protected ?string $itemId = null;

    /** Counts what its writer sent; an answer belongs to the text that was answered. */
    #[ORM\Column(type: 'integer')]
    protected int $version = 1;

    /** @var Collection<int, ProposalAnswer> */
    #[ORM\OneToMany(targetEntity: ProposalAnswer::class, mappedBy: 'proposal', cascade: ['persist'])]
    protected Collection $answers;

    /** @param string $id made by the client, so that one sent twice stands once */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'invitation_id', type: 'guid')]
        protected string $invitationId,
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(type: 'proposed')]
        protected ProposedQuestion $content,
        #[ORM\Column(name: 'written_at', type: 'moment')]
        protected \DateTimeImmutable $writtenAt,
    ) {
        $this->answers = new ArrayCollection();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function invitationId(): string
    {
        return $this->invitationId;
    }

    public function content(): ProposedQuestion
    {
        return $this->content;
    }

    public function version(): int
    {
        return $this->version;
    }

    public function state(): ProposalState
    {
        return $this->state;
    }

    public function itemId(): ?string
    {
        return $this->itemId;
    }

    public function isOf(string $studentId): bool
    {
        return $this->studentId === $studentId;
    }

    public function mayBeRewritten(): bool
    {
        return $this->state->mayBeRewritten($this->shown);
    }

    public function rewrite(ProposedQuestion $content, \DateTimeImmutable $at): void
    {
        $this->content = $content;
        $this->state = ProposalState::Waiting;
        ++$this->version;
        $this->writtenAt = $at;
    }

    /** The class may answer it; its writer is named to them, or not. */
    public function show(bool $named): void
    {
        if ($this->state === ProposalState::SentBack) {
            $this->wait();
        }
        $this->shown = true;
        $this->named = $named;
    }

    public function hide(): void
    {
        $this->shown = false;
    }

    public function sendBack(string $words): void
    {
        $this->state = ProposalState::SentBack;
        $this->words = $words;
        $this->shown = false;
    }

    public function letIn(string $itemId, bool $named): void
    {
        $this->state = ProposalState::LetIn;
        $this->itemId = $itemId;
        $this->named = $named;
        $this->words = '';
    }

    /** As it was before it was let in or sent back. */
    public function wait(): void
    {
        $this->state = ProposalState::Waiting;
        $this->itemId = null;
        $this->words = '';
    }

    /** Who is shown it answers once; the first answer to its present text counts. */
    public function mayBeAnsweredBy(string $studentId): bool
    {
        return $this->shown && !$this->isOf($studentId);
    }

    public function answer(string $studentId, int $picked, \DateTimeImmutable $at): void
    {
        $before = $this->answers->exists(fn (int $i, ProposalAnswer $a): bool => $a->isBy($studentId, $this->version));
        if (!$before) {
            $this->answers->add(new ProposalAnswer($this, $this->version, $studentId, $picked, $at));
        }
    }
}
