<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

use ChalkLadder\Core\Paper\PaperProof;
use Symfony\Component\Validator\Constraints as Assert;

/** The step of help that is asked for, from 1. */
final readonly class HintInput
{
    public function __construct(
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: PaperProof::MOST_TRIES)]
        public int $try = 1,
        #[Assert\Range(min: 1, max: 9)]
        public int $nth = 1,
    ) {
    }
}
