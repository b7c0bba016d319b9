<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A room that holds what belongs to a student; told within the act that puts two records of one student together, or parts them. */
#[AutoconfigureTag]
interface MovesWork
{
    /** The name under which the room finds again what it has moved. */
    public function room(): string;

    /**
     * What is one student's becomes another's. What both have of the same stays where it is.
     *
     * @return array<array-key, mixed> what was moved, as JSON holds it
     */
    public function move(string $from, string $into): array;

    /** @param array<array-key, mixed> $moved as it was told by {@see move()} */
    public function moveBack(string $from, string $into, array $moved): void;
}
