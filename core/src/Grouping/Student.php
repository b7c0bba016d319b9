<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

use ChalkLadder\Core\Analysis\Evidence;

/** A student with the measures that groups are formed from. */
final readonly class Student
{
    /**
     * @param float                   $share    of the marks, 0…1
     * @param array<string, Evidence> $evidence by misconception id
     */
    public function __construct(public string $id, public float $share, public array $evidence = [])
    {
    }
}
