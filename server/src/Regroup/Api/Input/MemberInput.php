<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

final readonly class MemberInput
{
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $studentId = '',
        #[Assert\Length(max: 500)]
        public string $reason = '',
    ) {
    }
}
