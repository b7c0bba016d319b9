<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class RungInput
{
    /** @param int $from the lower cut, in percent of the marks */
    public function __construct(
        #[Assert\Length(max: 200)]
        public string $name = '',
        #[Assert\Range(min: 0, max: 1000)]
        public int $from = 0,
    ) {
    }
}
