<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Symfony\Component\Validator\Constraints as Assert;

/** Names one step of a sitting. */
final readonly class StepInput
{
    public function __construct(
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: 9)]
        public int $try = 1,
    ) {
    }
}
