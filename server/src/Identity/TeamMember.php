<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** Somebody who is signed in and belongs to one team. */
interface TeamMember
{
    public function team(): string;
}
