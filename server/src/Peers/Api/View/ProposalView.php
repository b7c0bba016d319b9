<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class ProposalView
{
    /**
     * @param array<string, mixed> $question
     * @param string               $state    `waiting`, `sent back` or `let in`
     * @param string               $words    of the teacher who sent it back
     * @param bool                 $shown    the class may answer it
     * @param bool                 $named    its writer is named where it is shown, and in the bank
     * @param list<int>            $taken    how many of the class took each option of its present text
     */
    public function __construct(
        public string $id,
        public string $student,
        #[Shape('ProposedQuestion')]
        public array $question,
        public string $state,
        public string $words,
        public bool $shown,
        public bool $named,
        public ?string $itemId,
        public string $writtenAt,
        public array $taken,
    ) {
    }
}
