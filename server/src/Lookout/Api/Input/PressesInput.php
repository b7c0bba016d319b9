<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What a receiver has heard since it spoke last (docs/formats/pads.md). */
final readonly class PressesInput
{
    /**
     * @param string           $key     the receiver's
     * @param list<PressInput> $presses in the order in which they were heard
     */
    public function __construct(
        #[Assert\Length(max: 100)]
        public string $key = '',
        #[Assert\Count(max: 100)]
        #[Assert\Valid]
        public array $presses = [],
    ) {
    }
}
