<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Whether a distractor draws those who do not know. Its share of the wrong answers is set against half of what would be fair: of
 * three distractors, a sixth. The share has a Beta(1, d − 1) prior, whose mean is the fair share among d distractors.
 */
final class Distractor
{
    /** How probable it must be that the share lies below half the fair one, or above it. */
    private const IDLE = 0.90;
    private const TAKEN = 0.80;

    /**
     * True: it is taken, and rather by those who do less well elsewhere. False: it is idle, or draws those who do well. Null: it cannot
     * be told.
     *
     * @param int        $count       how many took it
     * @param int        $wrong       how many took any distractor
     * @param int        $distractors how many there are
     * @param float|null $rest        correlation of taking it with the score on the other questions
     * @param int        $n           answers that count
     */
    public static function works(int $count, int $wrong, int $distractors, ?float $rest, int $n): ?bool
    {
        if (self::isIdle($count, $wrong, $distractors)) {
            return false;
        }
        if ($rest === null) {
            return null;
        }
        $interval = Intervals::correlation($rest, $n);
        if ($interval !== null && $interval[0] > 0.0) {
            return false;
        }

        return $rest < 0.0 && 1.0 - self::below($count, $wrong, $distractors) >= self::TAKEN ? true : null;
    }

    public static function isIdle(int $count, int $wrong, int $distractors): bool
    {
        return self::below($count, $wrong, $distractors) >= self::IDLE;
    }

    /** How probable it is that less than half a fair share of the wrong answers is this one. */
    private static function below(int $count, int $wrong, int $distractors): float
    {
        return $distractors < 2 ? 0.0 : Curves::betaCdf(0.5 / $distractors, 1.0 + $count, $distractors - 1.0 + $wrong - $count);
    }
}
