<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class FollowUpsInput
{
    /**
     * @param list<FollowUpInput>  $groups
     * @param array<string, mixed> $conditions
     */
    public function __construct(
        #[Assert\Valid]
        #[Assert\Count(min: 1, max: 40, minMessage: 'Choose a paper for at least one group.')]
        public array $groups = [],
        #[Shape('Conditions')]
        public array $conditions = [],
    ) {
    }
}
