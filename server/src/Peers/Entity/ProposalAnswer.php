<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Entity;

use Doctrine\ORM\Mapping as ORM;

/** What one of the class took the answer to be. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'proposal_answer')]
class ProposalAnswer
{
    /** @param int $picked place of the option, from 0 */
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'answers')]
        #[ORM\JoinColumn(name: 'proposal_id', nullable: false)]
        protected Proposal $proposal,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        protected int $version,
        #[ORM\Id]
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(type: 'smallint')]
        protected int $picked,
        #[ORM\Column(name: 'answered_at', type: 'moment')]
        protected \DateTimeImmutable $answeredAt,
    ) {
    }

    public function isBy(string $studentId, int $version): bool
    {
        return $this->studentId === $studentId && $this->version === $version;
    }
}
