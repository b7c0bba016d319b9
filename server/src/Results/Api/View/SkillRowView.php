<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** One student's skills, in the order of the list. */
final readonly class SkillRowView
{
    /**
     * @param list<FigureView> $shares
     * @param list<int>        $standing 1 clearly above the student's own mean, −1 clearly below, 0 cannot be told
     * @param list<int>        $toOthers the same against all students here
     * @param list<FigureView> $known    chance that the skill is known, by all work so far
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public array $shares,
        public array $standing,
        public array $toOthers,
        public array $known,
    ) {
    }
}
