<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A named wrong idea, with what it looks like and what to do next. */
#[ORM\Entity]
#[ORM\Table(name: 'misconception')]
class Misconception implements Root, TeamOwned
{
    use Happenings;
    use Merged;

    private const KIND = 'misconception';

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(name: 'looks_like', type: 'text')]
        protected string $looksLike,
        #[ORM\Column(name: 'next_step', type: 'text')]
        protected string $nextStep,
        string $by,
    ) {
        $this->id = Id::fresh();
        $this->note(new Acted($teamId, $by, 'add', 'misconception', $this->id, ['name' => $name]));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function describe(string $name, string $looksLike, string $nextStep, string $by): void
    {
        $this->note(new Acted($this->teamId, $by, 'rename', 'misconception', $this->id, ['from' => $this->name]));
        $this->name = $name;
        $this->looksLike = $looksLike;
        $this->nextStep = $nextStep;
    }
}
