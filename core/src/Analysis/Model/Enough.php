<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Question;

/** When answers suffice for a measurement model. */
final class Enough
{
    public const LEAST_STUDENTS = 30;
    public const LEAST_QUESTIONS = 5;
    /** Below so many, the errors of slopes are wider than their differences. */
    public const SLOPES_FROM = 200;

    /** Whether a map can take it: nothing of it waits for a marker. */
    public static function isMarked(Question $question): bool
    {
        return !in_array(Cell::Waiting, $question->cells, true);
    }

    /** Whether it is right or wrong as a whole, as the Rasch model and its fit ask. */
    public static function isRightOrWrong(Question $question): bool
    {
        foreach (array_keys($question->cells) as $s) {
            if (!in_array($question->counts($s), [null, 0.0, 1.0], true)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param int      $questions with nothing left to mark
     * @param int|null $telling   students with neither all nor nothing right; null while it is not known
     *
     * @return string|null why there is no map; null when there is one
     */
    public static function missingForMap(int $questions, ?int $telling): ?string
    {
        return match (true) {
            $questions < self::LEAST_QUESTIONS => sprintf(
                'A map needs at least %d questions with nothing left to mark; here there are %d.',
                self::LEAST_QUESTIONS,
                $questions,
            ),
            $telling !== null && $telling < self::LEAST_STUDENTS => sprintf(
                'A map needs at least %d students with neither all nor nothing right; here there are %d.',
                self::LEAST_STUDENTS,
                $telling,
            ),
            default => null,
        };
    }

    public static function forSlopes(int $telling): bool
    {
        return $telling >= self::SLOPES_FROM;
    }
}
