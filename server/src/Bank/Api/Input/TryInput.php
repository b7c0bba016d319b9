<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class TryInput
{
    /**
     * @param array<string, mixed> $item
     * @param array<string, mixed> $response
     */
    public function __construct(
        #[Shape('Item')]
        public array $item = [],
        #[Shape('Response')]
        public array $response = [],
    ) {
    }
}
