<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class NoteFaultView
{
    public function __construct(public int $line, public string $message)
    {
    }
}
