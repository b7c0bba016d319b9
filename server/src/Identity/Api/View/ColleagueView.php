<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

final readonly class ColleagueView
{
    /** @param bool $here false once they have left the team */
    public function __construct(
        public string $id,
        public string $name,
        public string $email,
        public string $role,
        public bool $here,
    ) {
    }
}
