<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SignInInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Type your e-mail address.')]
        #[Assert\Length(max: 200)]
        public string $email = '',
        #[Assert\NotBlank(message: 'Type your password.')]
        #[Assert\Length(max: 200)]
        public string $password = '',
    ) {
    }
}
