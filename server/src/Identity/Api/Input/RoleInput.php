<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\Input;

use ChalkLadder\Server\Identity\Role;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RoleInput
{
    /** @param string $role one of lead, teacher, marker */
    public function __construct(
        #[Assert\Choice(callback: [Role::class, 'names'])]
        public string $role,
    ) {
    }
}
