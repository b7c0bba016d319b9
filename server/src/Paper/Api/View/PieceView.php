<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class PieceView
{
    /** @param int $copies how many of it there are */
    public function __construct(public string $text, public int $copies)
    {
    }
}
