<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Teams that are to climb. */
final readonly class ClimbInput
{
    public const LEAST = 2;
    public const MOST = 8;

    /** @param list<ClimberInput> $teams */
    public function __construct(
        #[Assert\Count(
            min: self::LEAST,
            max: self::MOST,
            minMessage: 'A climb takes {{ limit }} teams or more.',
            maxMessage: 'The wall holds {{ limit }} teams.',
        )]
        #[Assert\Valid]
        public array $teams = [],
    ) {
    }
}
