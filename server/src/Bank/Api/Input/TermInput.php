<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class TermInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\Length(max: 1000)]
        public string $looksLike = '',
        #[Assert\Length(max: 1000)]
        public string $nextStep = '',
        #[Assert\Uuid]
        public ?string $parent = null,
    ) {
    }
}
