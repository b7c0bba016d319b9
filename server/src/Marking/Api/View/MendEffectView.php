<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** What a mended paper does to the marks of work that is handed in. */
final readonly class MendEffectView
{
    /** @param string $of marks that can be had after it */
    public function __construct(public string $student, public string $before, public string $after, public string $of)
    {
    }
}
