<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Entity;

use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Id;
use Doctrine\ORM\Mapping as ORM;

/** Who changed what, and when. Entries are only ever added. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'trail')]
class TrailEntry
{
    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'team_id', type: 'guid')]
    protected string $teamId;

    #[ORM\Column(name: 'staff_id', type: 'guid')]
    protected string $staffId;

    #[ORM\Column(type: 'text')]
    protected string $act;

    #[ORM\Column(name: 'subject_kind', type: 'text')]
    protected string $subjectKind;

    #[ORM\Column(name: 'subject_id', type: 'guid')]
    protected string $subjectId;

    /** @var array<string, mixed> */
    #[ORM\Column(type: 'detail')]
    protected array $detail;

    public function __construct(
        Acted $acted,
        #[ORM\Column(type: 'moment')]
        protected \DateTimeImmutable $at,
    ) {
        $this->id = Id::fresh();
        $this->teamId = $acted->teamId;
        $this->staffId = $acted->staffId;
        $this->act = $acted->act;
        $this->subjectKind = $acted->kind;
        $this->subjectId = $acted->subjectId;
        $this->detail = $acted->detail;
    }
}
