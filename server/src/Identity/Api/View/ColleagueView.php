<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

final readonly class ColleagueView
{
    public function __construct(public string $id, public string $name, public string $email, public string $role)
    {
    }
}
