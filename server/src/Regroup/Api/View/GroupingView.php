<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupingView
{
    /**
     * @param list<GroupView> $groups
     * @param FitView|null    $fit    of groups that were formed by a plan
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
    ) {
    }
}
