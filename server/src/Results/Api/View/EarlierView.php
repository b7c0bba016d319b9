<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** An earlier handout, and how many students of this one sat it too. */
final readonly class EarlierView
{
    public function __construct(public string $id, public string $title, public string $madeAt, public int $students)
    {
    }
}
