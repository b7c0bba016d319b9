<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use Doctrine\ORM\Mapping as ORM;

/** Somebody who has been handed it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'handout_student')]
class HandoutStudent
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'students')]
        #[ORM\JoinColumn(name: 'handout_id', nullable: false)]
        protected Handout $handout,
        #[ORM\Id]
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
    ) {
    }
}
