<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class PressView
{
    /** @param string $fate kept, double, not given out, no such answer, closed */
    public function __construct(public string $pad, public int $press, public string $fate)
    {
    }
}
