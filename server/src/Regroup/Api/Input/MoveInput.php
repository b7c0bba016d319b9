<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A student of a kept grouping goes to another of its groups. */
final readonly class MoveInput
{
    /** @param string $reason why they are there, in one sentence */
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank(message: 'Say who moves.')]
        public string $studentId = '',
        #[Assert\Uuid]
        #[Assert\NotBlank(message: 'Choose a group.')]
        public string $groupId = '',
        #[Assert\Length(max: 500)]
        public string $reason = 'Moved here by hand.',
    ) {
    }
}
