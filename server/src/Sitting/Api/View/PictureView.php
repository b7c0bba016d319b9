<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** How a class did at a question. */
final readonly class PictureView
{
    /**
     * @param int $n     how many answered it
     * @param int $right of them right
     * @param int $part  of them in part
     */
    public function __construct(public int $n, public int $right, public int $part)
    {
    }
}
