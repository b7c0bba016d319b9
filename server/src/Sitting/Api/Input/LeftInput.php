<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A student has left the full screen; told again, with how long, when they are back. */
final readonly class LeftInput
{
    public function __construct(
        #[Assert\Range(min: 0, max: 86_400)]
        public int $seconds = 0,
    ) {
    }
}
