<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

final readonly class DemoAccountView
{
    public function __construct(public string $email, public string $name, public string $role, public string $team)
    {
    }
}
