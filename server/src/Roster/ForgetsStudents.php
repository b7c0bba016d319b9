<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** A room that holds what a student has said, or what was said to them; told within the act of erasing them. */
#[AutoconfigureTag]
interface ForgetsStudents
{
    /** Drops words; what was right and wrong stays for the statistics, and nobody is named by it. */
    public function forget(string $studentId): void;
}
