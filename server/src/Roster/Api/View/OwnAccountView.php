<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class OwnAccountView
{
    /** @param string|null $account its name; nothing where the student has none */
    public function __construct(public ?string $account)
    {
    }
}
