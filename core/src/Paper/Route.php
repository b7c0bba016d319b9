<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** Where a student goes after a section: below a share of its points one way, otherwise the other. */
final readonly class Route
{
    public const END = 'end';

    /**
     * @param string $then where to go below the share: a section id or {@see END}
     * @param string $else where to go otherwise
     */
    public function __construct(public BigRational $below, public string $then, public string $else)
    {
    }

    public function target(BigRational $share): string
    {
        return $share->isLessThan($this->below) ? $this->then : $this->else;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['below' => (string) $this->below, 'then' => $this->then, 'else' => $this->else];
    }
}
