<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** Which questions of the bank a student has written; told by the room in which students are asked to. */
interface StudentWriters
{
    /** @return string|null name and class of who wrote it; null where no student did, or is not named */
    public function of(string $teamId, string $questionId): ?string;
}
