<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** What one student has given to a question so far. */
final readonly class OneAnswerView
{
    /**
     * @param string                    $code     right, part, wrong, waits, blank, said
     * @param array<string, mixed>|null $response under the names as they are written; only where words do not say it
     */
    public function __construct(
        public string $studentId,
        public string $code,
        public string $given,
        public string $savedAt,
        #[Shape('Response')]
        public ?array $response,
    ) {
    }
}
