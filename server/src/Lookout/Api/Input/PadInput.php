<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Who has a pad. */
final readonly class PadInput
{
    /** @param string|null $student id; null for nobody */
    public function __construct(
        #[Assert\NotBlank(allowNull: true)]
        #[Assert\Uuid]
        public ?string $student = null,
    ) {
    }
}
