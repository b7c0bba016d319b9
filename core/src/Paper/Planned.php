<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** How many marks a paper is to hold on one skill. */
final readonly class Planned
{
    public function __construct(public string $skill, public BigRational $marks)
    {
    }

    /** @return array{skill: string, marks: string} */
    public function toArray(): array
    {
        return ['skill' => $this->skill, 'marks' => (string) $this->marks];
    }
}
