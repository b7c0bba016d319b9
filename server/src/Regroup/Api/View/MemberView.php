<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

use ChalkLadder\Server\Results\Api\View\FigureView;

/** A student in a group, and why. */
final readonly class MemberView
{
    /**
     * @param FigureView|null $rate  how often the student shows the idea that the group is about; null where it is about none, or kept
     * @param float|null      $share of the marks, 0…1; null once kept
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public string $reason,
        public ?FigureView $rate = null,
        public ?float $share = null,
    ) {
    }
}
