<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Marking\Score;

/** A sitting under the edition it was sat with, and under another. */
final readonly class MovedSitting
{
    /**
     * @param array<string, string|null> $mended by entry that was answered: the edition that its answer was given to, where it asks something
     *                                           else by now; null where it asks the same again
     */
    public function __construct(
        public StoredSitting $then,
        public StoredSitting $now,
        public Score $before,
        public Score $after,
        public array $mended,
    ) {
    }
}
