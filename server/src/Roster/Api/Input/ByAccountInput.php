<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ByAccountInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Type the name of your account.')]
        #[Assert\Length(max: 60)]
        public string $account = '',
        #[Assert\NotBlank(message: 'Type your password.')]
        #[Assert\Length(max: 200)]
        public string $password = '',
    ) {
    }
}
