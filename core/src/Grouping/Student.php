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
     * @param array<string, string>   $labels   by name: what a spread can be asked of, such as the class
     * @param string                  $next     the next step, such as a skill to work on; '' where none is known
     */
    public function __construct(
        public string $id,
        public float $share,
        public array $evidence = [],
        public string $name = '',
        public array $labels = [],
        public string $next = '',
    ) {
    }
}
