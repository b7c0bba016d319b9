<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Minutes beyond the closing time that the others have; 0 for none. */
final readonly class ExtraTimeInput
{
    private const MOST = 1440;

    public function __construct(
        #[Assert\Range(notInRangeMessage: 'Give from 0 to {{ max }} minutes.', min: 0, max: self::MOST)]
        public int $minutes = 0,
    ) {
    }
}
