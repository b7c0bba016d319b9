<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What the wall is to show. */
final readonly class WallInput
{
    /**
     * @param string|null $entry the question; null for none
     * @param bool        $key   of the question that is shown already
     */
    public function __construct(
        #[Assert\Length(max: 36)]
        public ?string $entry = null,
        public bool $key = false,
    ) {
    }
}
