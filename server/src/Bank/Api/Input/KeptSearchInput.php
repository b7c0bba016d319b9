<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class KeptSearchInput
{
    public function __construct(
        #[Assert\NotBlank(message: 'Give it a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\NotBlank(message: 'There is nothing looked for.')]
        #[Assert\Length(max: 600)]
        #[Assert\Regex('/^[A-Za-z0-9=&%+._*~-]*$/D')]
        public string $query = '',
    ) {
    }
}
