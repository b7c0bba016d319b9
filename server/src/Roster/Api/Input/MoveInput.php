<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class MoveInput
{
    /** @param string $to id of the class they move into */
    public function __construct(
        #[Assert\Uuid]
        public string $to,
    ) {
    }
}
