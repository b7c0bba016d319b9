<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Entity;

use ChalkLadder\Server\Exchange\PrintState;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A PDF that somebody waits for. */
#[ORM\Entity]
#[ORM\Table(name: 'print_job')]
class PrintJob implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(type: 'text', enumType: PrintState::class)]
    protected PrintState $state = PrintState::Waiting;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'staff_id', type: 'guid')]
        protected string $staffId,
        #[ORM\Column(name: 'paper_id', type: 'guid')]
        protected string $paperId,
        #[ORM\Embedded(columnPrefix: false)]
        protected PrintWish $wish,
        #[ORM\Column(name: 'asked_at', type: 'moment')]
        protected \DateTimeImmutable $askedAt,
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

    public function staffId(): string
    {
        return $this->staffId;
    }

    public function paperId(): string
    {
        return $this->paperId;
    }

    public function wish(): PrintWish
    {
        return $this->wish;
    }

    public function state(): PrintState
    {
        return $this->state;
    }

    /** False when it is not there to be begun: begun already, or cancelled. */
    public function begin(): bool
    {
        if ($this->state !== PrintState::Waiting) {
            return false;
        }
        $this->state = PrintState::Working;

        return true;
    }

    public function end(PrintState $state): void
    {
        if ($this->state === PrintState::Working) {
            $this->state = $state;
        }
    }

    public function cancel(): void
    {
        if ($this->state === PrintState::Waiting || $this->state === PrintState::Working) {
            $this->state = PrintState::Cancelled;
        }
    }
}
