<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** A question that a rule proposes from a passage. */
final readonly class CandidateView
{
    /**
     * @param string               $by    the rule, in words
     * @param string               $place where the sentence stands: `line 3`
     * @param string               $from  the sentence
     * @param string               $notes the question as notes, to be changed
     * @param array<string, mixed> $item
     */
    public function __construct(
        public string $by,
        public string $place,
        public string $from,
        public string $notes,
        #[Shape('Item')]
        public array $item,
    ) {
    }
}
