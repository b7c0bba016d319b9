<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** One answer in the picture. Code: right, part, wrong, waits, blank. */
final readonly class CellView
{
    public function __construct(public string $code, public int $try)
    {
    }
}
