<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\Sample;

/**
 * Puts two papers on one Rasch scale by the questions they share (mean–mean linking; Kolen & Brennan, Test Equating, Scaling, and
 * Linking, 3rd edition 2014, section 6.3). A shared question that has become easier or harder against the others is named and left out:
 * it does not measure the same in both.
 */
final readonly class Link
{
    private const FORMULA = 'Mean difference of the difficulties of the shared questions: what is added to the later scale to stand on the earlier one; 95 % interval by Student’s t.';
    private const LEAST = 3;
    /** Standard errors by which a question may have drifted, and how far it must have at least, in logits. */
    private const DRIFT_ERRORS = 2.7;
    private const DRIFT = 0.5;

    /**
     * @param Figure       $shift   in logits
     * @param list<string> $anchors questions that carry the link
     * @param list<string> $drifted shared questions that do not
     */
    private function __construct(public Figure $shift, public array $anchors, public array $drifted)
    {
    }

    /**
     * @param array<string, array{difficulty: float, se: float}> $earlier by question
     * @param array<string, array{difficulty: float, se: float}> $later
     */
    public static function of(array $earlier, array $later): self
    {
        $apart = $errors = [];
        foreach (array_intersect_key($earlier, $later) as $id => $question) {
            $apart[$id] = $question['difficulty'] - $later[$id]['difficulty'];
            $errors[$id] = hypot($question['se'], $later[$id]['se']);
        }
        $drifted = [];
        // The one furthest from the others is left out, and the rest looked at again.
        while (count($apart) >= self::LEAST) {
            $middle = self::median($apart);
            $off = array_map(static fn (float $d): float => abs($d - $middle), $apart);
            arsort($off);
            $worst = (string) array_key_first($off);
            if ($off[$worst] < max(self::DRIFT, self::DRIFT_ERRORS * $errors[$worst])) {
                break;
            }
            $drifted[] = $worst;
            unset($apart[$worst]);
        }
        $n = count($apart);
        if ($n < self::LEAST) {
            return new self(
                Figure::missing($n, self::FORMULA, sprintf('At least %d shared questions that measure the same in both are needed.', self::LEAST)),
                array_map(strval(...), array_keys($apart)),
                $drifted,
            );
        }
        $values = array_values($apart);
        $mean = array_sum($values) / $n;
        $interval = Intervals::mean($mean, Sample::sd($values), $n);

        return new self(
            new Figure($mean, $n, self::FORMULA, $interval[0] ?? null, $interval[1] ?? null, Figure::few($n, 5)),
            array_map(strval(...), array_keys($apart)),
            $drifted,
        );
    }

    /** @param non-empty-array<string, float> $values */
    private static function median(array $values): float
    {
        sort($values);
        $n = count($values);

        return ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]) / 2;
    }
}
