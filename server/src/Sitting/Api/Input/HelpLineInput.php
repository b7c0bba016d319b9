<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What one student says to the other, where one helps. */
final readonly class HelpLineInput
{
    /** @param string $id made by the device, so that one sent twice is said once */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\NotBlank(message: 'Write something first.', normalizer: 'trim')]
        #[Assert\Length(max: 300, maxMessage: 'Keep it to {{ limit }} letters.')]
        public string $words = '',
    ) {
    }
}
