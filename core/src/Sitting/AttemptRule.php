<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Which of a student's attempts count, so that one student counts once. */
enum AttemptRule: string
{
    case Best = 'best';
    case Latest = 'latest';
    case First = 'first';
    case Mean = 'mean';

    /**
     * The keys of the attempts that count: one, or with the mean all of them. The last of them is the one whose answers
     * stand for the student.
     *
     * @param non-empty-array<int, float> $marks marks by attempt number, handed-in attempts only
     *
     * @return non-empty-list<int>
     */
    public function counting(array $marks): array
    {
        ksort($marks);
        $attempts = array_keys($marks);

        return match ($this) {
            self::First => [$attempts[0]],
            self::Latest => [$attempts[count($attempts) - 1]],
            self::Best => [(int) array_search(max($marks), $marks, true)],
            self::Mean => $attempts,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::Best => 'best attempt counts',
            self::Latest => 'latest attempt counts',
            self::First => 'first attempt counts',
            self::Mean => 'mean of all attempts counts',
        };
    }
}
