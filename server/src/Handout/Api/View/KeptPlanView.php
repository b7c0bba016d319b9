<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class KeptPlanView
{
    /** @param array<string, string> $tells from when each thing is told */
    public function __construct(
        public string $id,
        public string $name,
        #[Shape('FeedbackPlan')]
        public array $tells,
    ) {
    }
}
