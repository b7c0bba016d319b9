<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A feedback plan that the team keeps under a name. Handouts take over what it says, so that dropping it changes none. */
#[ORM\Entity]
#[ORM\Table(name: 'feedback_plan')]
class KeptPlan implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'feedback_plan')]
        protected FeedbackPlan $tells,
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
}
