<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\Input;

use ChalkLadder\Core\Grouping\Plan;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class GroupingInput
{
    /** @param list<GroupInput> $groups */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the grouping a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        public string $name = '',
        #[Assert\Choice(['rung', 'misconception', ...Plan::AIMS])]
        public string $aim = 'rung',
        #[Assert\Valid]
        #[Assert\Count(min: 1, max: 40, minMessage: 'A grouping needs a group.')]
        public array $groups = [],
    ) {
    }
}
