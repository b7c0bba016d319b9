<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** A response to which files belong. */
interface HoldsFiles extends Response
{
    /** @return list<string> their ids */
    public function files(): array;

    /** What was written beside them. */
    public function said(): string;
}
