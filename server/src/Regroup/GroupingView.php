<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

final readonly class GroupingView
{
    /** @param list<GroupView> $groups */
    public function __construct(
        public ?string $id,
        public string $name,
        public string $aim,
        public string $handoutId,
        public string $handout,
        public ?string $madeAt,
        public ?string $madeBy,
        public array $groups,
    ) {
    }
}
