<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** The edition to be sat from now on; the latest where it is null. */
final readonly class MendInput
{
    public function __construct(
        #[Assert\NotBlank(allowNull: true)]
        #[Assert\Uuid]
        public ?string $editionId = null,
    ) {
    }
}
