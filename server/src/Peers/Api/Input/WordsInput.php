<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class WordsInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Say what is to be changed.', normalizer: 'trim')]
        #[Assert\Length(max: 1000, maxMessage: 'At most {{ limit }} characters.')]
        public string $words = '',
    ) {
    }
}
