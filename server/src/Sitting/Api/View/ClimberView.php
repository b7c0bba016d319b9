<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** A team that climbs. */
final readonly class ClimberView
{
    /**
     * @param list<string> $students ids
     * @param int          $here     how many of them have begun
     * @param float        $rungs    how high it stands: the mean over those of what they have right
     * @param float|null   $past     mean share of the marks of its students in earlier work; null where none has any
     */
    public function __construct(
        public string $name,
        public array $students,
        public int $here,
        public float $rungs,
        public ?float $past,
    ) {
    }
}
