<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class TeachersInput
{
    /** @param list<string> $teachers ids of staff; nobody makes it everybody's */
    public function __construct(
        #[Assert\Count(max: 100)]
        #[Assert\All([new Assert\NotBlank(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $teachers = [],
    ) {
    }
}
