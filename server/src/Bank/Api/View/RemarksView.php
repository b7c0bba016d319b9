<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class RemarksView
{
    /** @param list<RemarkView> $remarks open ones first */
    public function __construct(public array $remarks)
    {
    }
}
