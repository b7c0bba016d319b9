<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\Input;

use ChalkLadder\Core\Item\ProposedQuestion;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class PickInput
{
    /**
     * @param int $option  place of the option that is taken to be right, from 0
     * @param int $version of the question that was read
     */
    public function __construct(
        #[Assert\Range(min: 0, max: ProposedQuestion::MOST_OPTIONS - 1)]
        public int $option = 0,
        public int $version = 0,
    ) {
    }
}
