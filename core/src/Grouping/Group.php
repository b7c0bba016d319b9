<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/** One group: what it has in common, and for each student one sentence on why they are here. */
final readonly class Group
{
    /**
     * @param string                $about   a misconception id, or '' when the group is not about one
     * @param array<string, string> $members reason by student id, in order
     */
    public function __construct(public string $name, public string $about, public array $members)
    {
    }
}
