<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

final readonly class OutboxView
{
    /** @param list<OutboxLineView> $messages the latest 200 */
    public function __construct(public array $messages)
    {
    }
}
