<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class StudentInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Type the name.', normalizer: 'trim')]
        #[Assert\Length(max: 200)]
        public string $name = '',
    ) {
    }
}
