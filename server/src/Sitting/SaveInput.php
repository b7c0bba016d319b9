<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Server\Platform\OpenApi\Shape;
use Symfony\Component\Validator\Constraints as Assert;

/** One response on its way from a device. */
final readonly class SaveInput
{
    /**
     * @param array<string, mixed> $value
     * @param int                  $counter  grows with each change on any of the student's devices; an older one never overwrites a newer
     * @param string               $clientId names this save, so that a repeat is harmless
     */
    public function __construct(
        #[Assert\Length(min: 1, max: 36)]
        public string $entry = '',
        #[Assert\Range(min: 1, max: 9)]
        public int $try = 1,
        #[Shape('Response')]
        public array $value = [],
        #[Assert\Range(min: 1, max: 9_007_199_254_740_991)]
        public int $counter = 0,
        #[Assert\Length(min: 1, max: 64)]
        public string $clientId = '',
    ) {
    }
}
