<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Roster\ForgetsStudents;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;

/** What an erased student has uploaded, drawn or recorded goes with them. */
final readonly class ForgottenFiles implements ForgetsStudents
{
    public function __construct(private SittingReader $sittings, private Files $files)
    {
    }

    public function forget(string $studentId): void
    {
        $this->files->forgetSittings($this->sittings->idsOf($studentId));
    }
}
