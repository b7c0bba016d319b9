<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Core\Item\Response;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A teacher has put another answer in the place of what was given, and says why; both are kept. */
#[ORM\Entity]
#[ORM\Table(name: 'correction')]
class Correction implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'undone_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $undoneAt = null;

    /** @param string $id made by the client, so that one sent twice is done once */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'sitting_id', type: 'guid')]
        protected string $sittingId,
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Column(type: 'integer')]
        protected int $try,
        #[ORM\Column(type: 'response')]
        protected Response $given,
        #[ORM\Column(type: 'response')]
        protected Response $corrected,
        #[ORM\Column(type: 'text')]
        protected string $why,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function sittingId(): string
    {
        return $this->sittingId;
    }

    public function entry(): string
    {
        return $this->entry;
    }

    public function try(): int
    {
        return $this->try;
    }

    public function given(): Response
    {
        return $this->given;
    }

    /**
     * Takes it back, as long as the answer is what it was corrected to.
     *
     * @param Response|null $now the answer as it is
     */
    public function undo(?Response $now, \DateTimeImmutable $at): void
    {
        if ($this->undoneAt !== null || $now?->toArray() !== $this->corrected->toArray()) {
            throw Problem::conflict('The answer is another by now.', 'Look at it again, and correct it anew if it has to be.');
        }
        $this->undoneAt = $at;
    }
}
