<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * How unusual it is that two students share so many wrong answers. Only for a pair that a teacher asks about: of many pairs looked
 * through, some are always unusual.
 *
 * Given which questions each of the two has wrong, and so both their scores, each question that both have wrong is alike by chance
 * with the probability that two who have it wrong take the same distractor, from the shares among all others who have it wrong.
 * The number alike is then Poisson-binomial, and its upper tail is added up exactly.
 */
final readonly class CommonErrors
{
    private const WORDS = 'This proves nothing: two who were taught alike, worked together or hold the same wrong idea share wrong answers as well.';
    private const LEAST_OTHERS = 5;

    private function __construct(
        public int $bothWrong,
        public int $alike,
        public float $expected,
        public ?float $probability,
        public string $sentence,
    ) {
    }

    /**
     * @param list<array{key: list<string>, first: string, second: string, others: list<string>}> $questions what each of the two took, and all
     *                                                                                          others; '' for nothing
     */
    public static function of(array $questions): self
    {
        $alike = 0;
        $chances = [];
        foreach ($questions as $question) {
            $isWrong = static fn (string $pick): bool => $pick !== '' && !in_array($pick, $question['key'], true);
            if (!$isWrong($question['first']) || !$isWrong($question['second'])) {
                continue;
            }
            $wrong = array_count_values(array_filter($question['others'], $isWrong));
            $n = array_sum($wrong);
            if ($n < self::LEAST_OTHERS) {
                continue;
            }
            $chances[] = array_sum(array_map(static fn (int $count): float => ($count / $n) ** 2, $wrong));
            $alike += $question['first'] === $question['second'] ? 1 : 0;
        }
        $tail = self::tail($chances, $alike);
        $expected = array_sum($chances);

        return new self(
            count($chances),
            $alike,
            $expected,
            $tail,
            $tail === null
                ? 'No question that both have wrong was got wrong by enough others to say anything. '.self::WORDS
                : sprintf(
                    'Of %d questions that both have wrong, %d are wrong in the same way; %.1f would be by chance. As many or more come about by chance in %s of such pairs. %s',
                    count($chances),
                    $alike,
                    $expected,
                    $tail < 0.001 ? 'fewer than 1 in 1 000' : sprintf('%d in 1 000', (int) round(1000 * $tail)),
                    self::WORDS,
                ),
        );
    }

    /**
     * The chance of at least so many, when each comes about by itself with a chance of its own.
     *
     * @param list<float> $chances
     */
    private static function tail(array $chances, int $least): ?float
    {
        if ($chances === []) {
            return null;
        }
        $of = [1.0];
        foreach ($chances as $p) {
            $next = array_fill(0, count($of) + 1, 0.0);
            foreach ($of as $k => $probability) {
                $next[$k] += $probability * (1 - $p);
                $next[$k + 1] += $probability * $p;
            }
            $of = $next;
        }

        return min(1.0, array_sum(array_slice($of, $least)));
    }
}
