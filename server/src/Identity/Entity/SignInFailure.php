<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Entity;

use Doctrine\ORM\Mapping as ORM;

/**
 * How often sign-ins aimed at one account, address or device have failed. Counted by {@see
 * \ChalkLadder\Server\Identity\ReadModel\Failures}.
 */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'sign_in_failure')]
class SignInFailure
{
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'text')]
        protected string $key,
        #[ORM\Column(type: 'integer')]
        protected int $failures,
        #[ORM\Column(name: 'last_at', type: 'moment')]
        protected \DateTimeImmutable $lastAt,
    ) {
    }
}
