<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Sitting\Answer;

/** An answer on the marking desk. */
final readonly class DeskAnswer
{
    /** @param list<int|null>|null $ownLevels what the reader gave in a second marking */
    public function __construct(
        public string $sittingId,
        public string $studentId,
        public string $student,
        public string $seed,
        public Walk $walk,
        public bool $isReturned,
        public Answer $answer,
        public ?array $ownLevels,
    ) {
    }
}
