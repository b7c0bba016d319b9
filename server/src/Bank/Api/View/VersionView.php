<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** A question as it stood in one version. */
final readonly class VersionView
{
    /** @param array<string, mixed> $item */
    public function __construct(
        public int $version,
        #[Shape('Item')]
        public array $item,
    ) {
    }
}
