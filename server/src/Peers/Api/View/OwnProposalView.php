<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class OwnProposalView
{
    /**
     * @param array<string, mixed> $question
     * @param string               $state    `waiting`, `sent back` or `let in`
     * @param string               $words    of the teacher who sent it back
     * @param list<int>            $taken    how many of the class took each option; empty while it is not shown to them
     */
    public function __construct(
        public string $id,
        #[Shape('ProposedQuestion')]
        public array $question,
        public int $version,
        public string $state,
        public string $words,
        public bool $mayChange,
        public bool $shown,
        public bool $named,
        public array $taken,
    ) {
    }
}
