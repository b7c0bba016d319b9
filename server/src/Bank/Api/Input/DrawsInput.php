<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class DrawsInput
{
    /** @param array<string, mixed> $item */
    public function __construct(
        #[Shape('Item')]
        public array $item = [],
    ) {
    }
}
