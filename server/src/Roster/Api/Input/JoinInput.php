<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class JoinInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Type the class code.')]
        #[Assert\Length(max: 20)]
        public string $code = '',
        #[Assert\NotBlank(message: 'Type your name.')]
        #[Assert\Length(max: 120)]
        public string $name = '',
        #[Assert\NotBlank(message: 'Type your PIN.')]
        #[Assert\Length(max: 20)]
        public string $pin = '',
    ) {
    }
}
