<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

use Brick\Math\BigRational;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Paper\PublishedPaper;

/** A handout as the other rooms use it. */
final readonly class HandedOut
{
    public function __construct(
        public string $id,
        public string $teamId,
        public string $title,
        public PublishedPaper $edition,
        public int $rulesVersion,
        public Conditions $conditions,
        public BigRational $markStep,
        public Window $window,
        /** beyond what the others have; of a student who was given it */
        public int $extraMinutes = 0,
    ) {
    }
}
