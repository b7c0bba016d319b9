<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Marking\Score;

/** A sitting under the edition it was sat with, and under another. */
final readonly class MovedSitting
{
    /** @param list<string> $changed entries that were answered and ask something else by now */
    public function __construct(
        public StoredSitting $then,
        public StoredSitting $now,
        public Score $before,
        public Score $after,
        public array $changed,
    ) {
    }
}
