<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

/** A follow-up that a group was handed. */
final readonly class HandedView
{
    public function __construct(public string $id, public string $title)
    {
    }
}
