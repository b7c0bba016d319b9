<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A question each time it was handed out, the latest first. */
final readonly class RecordByUseView
{
    /** @param list<UseView> $uses */
    public function __construct(public array $uses)
    {
    }
}
