<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Sitting\MovedSitting;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;

/** What putting an edition in the place of the one that is sat would do. */
final readonly class MendPlan
{
    /**
     * @param list<string>       $refusals why it cannot be done; none where it can
     * @param int                $aside    answers to questions that are gone
     * @param list<MovedSitting> $moved
     * @param list<Remarked>     $remarked answers that are worth, or read as, something else
     * @param list<Remarked>     $marked   those of work that is handed in whose credit changes
     */
    public function __construct(
        public PublishedPaper $edition,
        public array $refusals,
        public int $aside,
        public array $moved,
        public array $remarked,
        public array $marked,
    ) {
    }
}
