<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** Told by the room of sittings. */
interface ProgressOfWork
{
    /**
     * @param list<string> $handoutIds
     *
     * @return array<string, Progress> by handout; where nobody has begun it is absent
     */
    public function of(array $handoutIds): array;
}
