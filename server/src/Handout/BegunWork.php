<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** Told by the room of sittings. */
interface BegunWork
{
    /**
     * @param list<string> $handoutIds
     *
     * @return list<string> those that the student has begun
     */
    public function among(string $studentId, array $handoutIds): array;
}
