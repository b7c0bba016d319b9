<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupView
{
    /**
     * @param string|null      $id       once the grouping is kept
     * @param string|null      $about    a misconception's id
     * @param list<MemberView> $members
     * @param list<string>     $handouts titles of what this group was handed
     */
    public function __construct(
        public ?string $id,
        public string $name,
        public ?string $about,
        public string $nextStep,
        public array $members,
        public array $handouts,
    ) {
    }
}
