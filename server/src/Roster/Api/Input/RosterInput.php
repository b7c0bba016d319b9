<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class RosterInput
{
    /**
     * @param list<int>          $skip  line numbers of the list that are left out
     * @param array<int, string> $names names put right by hand, by line number
     */
    public function __construct(
        #[Assert\Length(max: 1_000_000, countUnit: Assert\Length::COUNT_BYTES)]
        public string $text = '',
        #[Assert\Count(max: 5000)]
        public array $skip = [],
        #[Assert\Count(max: 5000)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 300)])]
        public array $names = [],
    ) {
    }
}
