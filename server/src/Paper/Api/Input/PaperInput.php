<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class PaperInput
{
    /**
     * @param array<string, mixed> $paper
     * @param int                  $version the version that was edited; 0 for a new paper
     */
    public function __construct(
        #[Shape('Paper')]
        public array $paper = [],
        public int $version = 0,
    ) {
    }
}
