<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Core\Item\ItemTemplate;
use Doctrine\ORM\Mapping as ORM;

/** A question as it was before a change. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'item_revision')]
class QuestionRevision
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'revisions')]
        #[ORM\JoinColumn(name: 'item_id', nullable: false)]
        protected Question $question,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        protected int $version,
        #[ORM\Column(type: 'question')]
        protected ItemTemplate $content,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
    }
}
