<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** Somebody who has been in the class; their work stays. */
final readonly class LeaverView
{
    public function __construct(public string $id, public string $name, public ?string $leftAt)
    {
    }
}
