<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Whoever must keep what has happened in the same transaction as the happening itself, such as the trail. */
#[AutoconfigureTag]
interface BeforeCommit
{
    /** @param list<object> $events */
    public function keep(array $events): void;
}
