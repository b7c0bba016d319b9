<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class ReplyInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Write something first.', normalizer: 'trim')]
        #[Assert\Length(max: 2000, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
    ) {
    }
}
