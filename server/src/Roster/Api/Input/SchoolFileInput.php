<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class SchoolFileInput
{
    /** @param string $data base64 (RFC 4648, section 4) */
    public function __construct(
        #[Assert\NotBlank]
        #[Assert\Length(max: 200)]
        public string $name = '',
        #[Assert\Length(max: 4_000_000, countUnit: Assert\Length::COUNT_BYTES)]
        public string $data = '',
    ) {
    }
}
