<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** One question of some notes: as it would be kept, or what speaks against it. */
final readonly class NotedQuestionView
{
    /**
     * @param int                       $line    its first, from 1
     * @param array<string, mixed>|null $item    null where it cannot be read
     * @param list<NoteFaultView>       $faults
     * @param list<DefectView>          $defects of a question that can be read
     */
    public function __construct(
        public int $line,
        #[Shape('Item')]
        public ?array $item,
        public array $faults,
        public array $defects,
    ) {
    }
}
