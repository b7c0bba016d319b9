<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class GroupInput
{
    /** @param list<string> $students ids */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the group a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\Count(max: 1000)]
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $students = [],
    ) {
    }
}
