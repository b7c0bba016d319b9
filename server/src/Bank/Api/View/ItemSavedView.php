<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** What a save made of a question: as it is kept, after cleaning. */
final readonly class ItemSavedView
{
    /**
     * @param array<string, mixed> $item
     * @param list<DefectView>     $defects
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $savedAt,
        #[Shape('Item')]
        public array $item,
        public array $defects,
    ) {
    }
}
