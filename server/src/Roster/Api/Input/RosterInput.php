<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class RosterInput
{
    /** @param list<int> $skip line numbers of the list that are left out */
    public function __construct(
        #[Assert\Length(max: 1_000_000, countUnit: Assert\Length::COUNT_BYTES)]
        public string $text = '',
        #[Assert\Count(max: 5000)]
        public array $skip = [],
    ) {
    }
}
