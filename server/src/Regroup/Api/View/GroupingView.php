<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupingView
{
    /**
     * @param list<GroupView> $groups
     * @param FitView|null    $fit    of groups that were formed by a plan
     * @param list<AbsentView> $absent who was handed the work and has handed nothing in; of proposals alone
     * @param list<string> $classes names of those whose students were handed the work; of proposals alone
     * @param list<KeysOutView> $keysOut what not to hand them next without a thought; of kept groupings alone
     */
    public function __construct(
        public ?string $id,
        public string $name,
        public string $aim,
        public string $handoutId,
        public string $handout,
        public ?string $madeAt,
        public ?string $madeBy,
        public array $groups,
        public ?FitView $fit = null,
        public array $keysOut = [],
        public array $absent = [],
        public array $classes = [],
    ) {
    }
}
