<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Which student a record is the double of. */
final readonly class MergeInput
{
    /**
     * @param string $id   made by the client, so that one sent twice is done once
     * @param string $into the student whose record is kept
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $id = '',
        #[Assert\NotBlank]
        #[Assert\Uuid]
        public string $into = '',
    ) {
    }
}
