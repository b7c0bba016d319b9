<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class ItemInput
{
    /**
     * @param array<string, mixed> $item
     * @param int                  $version the version that was edited; 0 for a new question
     */
    public function __construct(
        #[Shape('Item')]
        public array $item = [],
        public int $version = 0,
    ) {
    }
}
