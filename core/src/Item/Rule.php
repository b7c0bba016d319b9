<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** An answer rule: how a response becomes credit. Pure; the same response always gets the same outcome. */
interface Rule
{
    public function type(): ItemType;

    public function check(Response $response): Outcome;

    /** True when no machine can decide and a marker must. */
    public function waitsForMarker(): bool;

    /** @return list<string> ids of every misconception that some response to this rule would show */
    public function misconceptions(): array;

    /** @return array<string, mixed> the JSON form, as {@see ItemReader} reads it */
    public function toArray(): array;

    /** @return list<Defect> */
    public function defects(): array;
}
