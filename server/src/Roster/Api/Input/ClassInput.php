<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ClassInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give the class a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
    ) {
    }
}
