<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Which of a student's attempts counts, so that one student counts once. */
enum AttemptRule: string
{
    case Best = 'best';
    case Latest = 'latest';
    case First = 'first';

    /**
     * The key of the attempt that counts.
     *
     * @param non-empty-array<int, float> $marks marks by attempt number, handed-in attempts only
     */
    public function counting(array $marks): int
    {
        ksort($marks);
        $attempts = array_keys($marks);

        return match ($this) {
            self::First => $attempts[0],
            self::Latest => $attempts[count($attempts) - 1],
            self::Best => (int) array_search(max($marks), $marks, true),
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::Best => 'best attempt counts',
            self::Latest => 'latest attempt counts',
            self::First => 'first attempt counts',
        };
    }
}
