<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

final readonly class MemberView
{
    public function __construct(public string $studentId, public string $name, public string $reason)
    {
    }
}
