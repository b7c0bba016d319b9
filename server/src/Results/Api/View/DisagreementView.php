<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** An answer that was marked differently. */
final readonly class DisagreementView
{
    /**
     * @param list<MarkerLevelsView> $marks
     * @param list<int|null>|null    $now   the mark that counts
     */
    public function __construct(
        public string $sittingId,
        public int $try,
        public string $student,
        public string $given,
        public array $marks,
        public ?array $now,
        public string $comment,
        public int $markVersion,
    ) {
    }
}
