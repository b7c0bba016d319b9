<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class RemarkInput
{
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $id = '',
        #[Assert\NotBlank(message: 'Write something first.', normalizer: 'trim')]
        #[Assert\Length(max: 2000, maxMessage: 'At most {{ limit }} characters.')]
        public string $text = '',
        #[Assert\Length(max: 40)]
        public string $part = '',
    ) {
    }
}
