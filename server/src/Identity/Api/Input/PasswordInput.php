<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class PasswordInput
{
    /** @param string $current of whoever asks: one's own, also where a colleague's is set */
    public function __construct(
        #[Assert\NotBlank(message: 'Type your present password.')]
        #[Assert\Length(max: 200)]
        public string $current = '',
        #[Assert\Length(min: 10, max: 200, minMessage: 'At least {{ limit }} characters.')]
        public string $new = '',
    ) {
    }
}
