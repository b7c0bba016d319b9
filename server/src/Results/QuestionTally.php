<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

/** What one handout says of one of its questions. */
final readonly class QuestionTally
{
    /**
     * @param list<string>       $students ids of those who have seen it
     * @param list<float>        $credits  0…1, of those whose credit is known
     * @param list<float>        $seconds  of those whose time is known
     * @param array<string, int> $lines    how often each answer line was taken
     */
    public function __construct(public array $students, public array $credits, public array $seconds, public array $lines)
    {
    }
}
