<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Symfony\Component\Uid\UuidV7;

/** Identities are made here and not by the database, so that a root is whole before it is stored. They rise with time. */
final class Id
{
    public static function fresh(): string
    {
        return (new UuidV7())->toRfc4122();
    }
}
