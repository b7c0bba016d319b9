<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class DrawView
{
    /**
     * @param array<string, string> $numbers by variable
     * @param array<string, string> $values  by formula; one without a value is left out
     * @param list<string>          $faults  why it is never handed out
     */
    public function __construct(public array $numbers, public array $values, public array $faults)
    {
    }
}
