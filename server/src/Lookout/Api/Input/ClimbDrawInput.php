<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** How many teams are to be drawn; another seed draws others. */
final readonly class ClimbDrawInput
{
    /** @param int<2, 8> $teams */
    public function __construct(
        #[Assert\Range(
            min: ClimbInput::LEAST,
            max: ClimbInput::MOST,
            notInRangeMessage: 'Ask for {{ min }} to {{ max }} teams.',
        )]
        public int $teams = 4,
        #[Assert\Length(max: 40)]
        public string $seed = '1',
    ) {
    }
}
