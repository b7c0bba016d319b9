<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Entity;

use Doctrine\ORM\Mapping as ORM;

/** Which question of the bank an entry of an edition is. */
#[ORM\Entity]
#[ORM\Table(name: 'edition_item')]
class EditionItem
{
    /** Of the bank's question as it was taken; set by {@see \ChalkLadder\Server\Paper\ReadModel\BankChanges}, which compares it. */
    #[ORM\Column(name: 'content_hash', type: 'text', insertable: false, updatable: false)]
    protected string $contentHash = '';

    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'items')]
        #[ORM\JoinColumn(name: 'edition_id', nullable: false)]
        protected Edition $edition,
        #[ORM\Id]
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Column(name: 'item_id', type: 'guid')]
        protected string $itemId,
    ) {
    }
}
