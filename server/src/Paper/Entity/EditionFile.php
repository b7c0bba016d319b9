<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A picture that an edition shows. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'edition_file')]
class EditionFile
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'files')]
        #[ORM\JoinColumn(name: 'edition_id', nullable: false)]
        protected Edition $edition,
        #[ORM\Id]
        #[ORM\Column(name: 'file_id', type: 'guid')]
        protected string $fileId,
    ) {
    }
}
