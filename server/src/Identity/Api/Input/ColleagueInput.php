<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use ChalkLadder\Server\Identity\Role;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ColleagueInput
{
    /**
     * @param string $role    one of lead, teacher, marker
     * @param string $current the password of whoever asks
     * @param string $new     what the colleague signs in with first
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Type their name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\NotBlank(message: 'Type their address.', normalizer: 'trim')]
        #[Assert\Email(message: 'This is no e-mail address.', normalizer: 'trim')]
        #[Assert\Length(max: 200)]
        public string $email = '',
        #[Assert\Choice(callback: [Role::class, 'names'])]
        public string $role = 'teacher',
        #[Assert\NotBlank(message: 'Type your present password.')]
        #[Assert\Length(max: 200)]
        public string $current = '',
        #[Assert\Length(min: 10, max: 200, minMessage: 'At least {{ limit }} characters.')]
        public string $new = '',
    ) {
    }
}
