<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A class that a handout was given to; whoever joins it later is given it too. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'handout_class')]
class HandoutClass
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'classes')]
        #[ORM\JoinColumn(name: 'handout_id', nullable: false)]
        protected Handout $handout,
        #[ORM\Id]
        #[ORM\Column(name: 'class_id', type: 'guid')]
        protected string $classId,
        /** @var list<string> ids of its students who are not handed it */
        #[ORM\Column(type: 'uuid_list')]
        protected array $without = [],
    ) {
    }
}
