<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What each student has shown of each skill. */
final readonly class SkillsView
{
    /**
     * @param list<SkillView>    $skills
     * @param list<SkillRowView> $students
     */
    public function __construct(public array $skills, public array $students)
    {
    }
}
