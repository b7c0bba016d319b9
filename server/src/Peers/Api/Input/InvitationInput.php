<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class InvitationInput
{
    /** @param string $id made by the client, so that one sent twice is opened once */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $id = '',
        #[Assert\Uuid]
        #[Assert\NotBlank(message: 'Choose a class.')]
        public string $classId = '',
        #[Assert\NotBlank(message: 'Say what the questions are to be about.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters.')]
        public string $topic = '',
    ) {
    }
}
