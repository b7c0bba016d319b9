<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class MergeInput
{
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $into = '',
    ) {
    }
}
