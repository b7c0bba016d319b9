<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Item\Outcome;

/** An answer that is worth, or read as, something else under another rule. */
final readonly class Remarked
{
    public function __construct(
        public string $sittingId,
        public string $entry,
        public int $try,
        public Outcome $before,
        public Outcome $after,
    ) {
    }
}
