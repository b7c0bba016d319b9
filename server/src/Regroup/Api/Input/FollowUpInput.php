<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What one group is handed next. */
final readonly class FollowUpInput
{
    public function __construct(
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $groupId = '',
        #[Assert\Uuid]
        #[Assert\NotBlank(message: 'Choose a paper.')]
        public string $editionId = '',
        #[Assert\Uuid]
        #[Assert\NotBlank]
        public string $requestId = '',
    ) {
    }
}
