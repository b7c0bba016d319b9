<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupingRowView
{
    public function __construct(
        public string $id,
        public string $name,
        public string $aim,
        public string $handout,
        public int $groups,
        public int $students,
        public int $followUps,
        public string $madeAt,
    ) {
    }
}
