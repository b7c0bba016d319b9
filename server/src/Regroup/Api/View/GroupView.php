<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupView
{
    /**
     * @param string|null      $id       once the grouping is kept
     * @param string|null      $about    a misconception's id
     * @param list<MemberView> $members
     * @param list<HandedView> $handouts what this group was handed, the oldest first
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
