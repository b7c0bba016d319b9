<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Entity;

use Doctrine\ORM\Mapping as ORM;

/** Somebody signed in on one device. The cookie holds a token; here is its hash alone. */
#[ORM\Entity]
#[ORM\Table(name: 'session')]
class Session
{
    #[ORM\Column(name: 'seen_at', type: 'moment')]
    protected \DateTimeImmutable $seenAt;

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'token_hash', type: 'text')]
        protected string $tokenHash,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'staff_id', type: 'guid', nullable: true)]
        protected ?string $staffId,
        #[ORM\Column(name: 'student_id', type: 'guid', nullable: true)]
        protected ?string $studentId,
        #[ORM\Column(type: 'text')]
        protected string $device,
        #[ORM\Column(name: 'opened_at', type: 'moment')]
        protected \DateTimeImmutable $openedAt,
        #[ORM\Column(name: 'expires_at', type: 'moment')]
        protected \DateTimeImmutable $expiresAt,
    ) {
        $this->seenAt = $openedAt;
    }
}
