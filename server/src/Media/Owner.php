<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

/** Whose a file is: a member of staff's, for their team; or a student's, in one sitting. */
final readonly class Owner
{
    private function __construct(public string $teamId, public ?string $staffId, public ?string $sittingId)
    {
    }

    public static function staff(string $teamId, string $staffId): self
    {
        return new self($teamId, $staffId, null);
    }

    public static function sitting(string $teamId, string $sittingId): self
    {
        return new self($teamId, null, $sittingId);
    }
}
