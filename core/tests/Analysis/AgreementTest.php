<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Figure;
use PHPUnit\Framework\TestCase;

final class AgreementTest extends TestCase
{
    /** Four observers, twelve units: K. Krippendorff, "Computing Krippendorff's Alpha-Reliability" (2011), section C. */
    public function testKrippendorffsCanonicalTable(): void
    {
        $observers = [
            [1, 2, 3, 3, 2, 1, 4, 1, 2, null, null, null],
            [1, 2, 3, 3, 2, 2, 4, 1, 2, 5, null, 3],
            [null, 3, 3, 3, 2, 3, 4, 2, 2, 5, 1, null],
            [1, 2, 3, 3, 2, 4, 4, 1, 2, 5, 1, null],
        ];
        $agreement = self::agreement([1, 2, 3, 4, 5], $observers);

        self::assertEqualsWithDelta(0.743, $agreement->alpha('nominal')->value, 0.0005);
        self::assertEqualsWithDelta(0.815, $agreement->alpha('ordinal')->value, 0.0005);
        self::assertEqualsWithDelta(0.849, $agreement->alpha('interval')->value, 0.0005);
    }

    /** Six targets, four judges: Shrout & Fleiss, Psychological Bulletin 86 (1979), table 2; ICC(2,1) = .29. */
    public function testShroutAndFleissSixByFour(): void
    {
        $judges = [[9, 6, 8, 7, 10, 6], [2, 1, 4, 1, 5, 2], [5, 3, 6, 2, 6, 4], [8, 2, 8, 6, 9, 7]];

        self::assertEqualsWithDelta(0.2898, self::agreement(range(1, 10), $judges)->icc()->value, 0.0001);
    }

    /** A three by three table worked by hand: po = 0.7, pe = 0.36; linear and quadratic weights from the same margins. */
    public function testTheIntervalOfIccIsThePublishedOne(): void
    {
        // Shrout & Fleiss (1979) give 0.019 to 0.761 for ICC(2,1) of their table.
        $judges = [[9, 6, 8, 7, 10, 6], [2, 1, 4, 1, 5, 2], [5, 3, 6, 2, 6, 4], [8, 2, 8, 6, 9, 7]];
        $icc = self::agreement(range(1, 10), $judges)->icc();
        self::assertEqualsWithDelta(0.019, $icc->low, 0.0006);
        self::assertEqualsWithDelta(0.761, $icc->high, 0.0006);
    }

    public function testBootstrapIntervalsHoldTheFigureAndComeAgain(): void
    {
        $first = [0, 1, 2, 3, 2, 1, 0, 3, 2, 1, 1, 2, 3, 0, 2, 1, 2, 3, 1, 0];
        $agreement = self::agreement(
            [0, 1, 2, 3],
            [$first, array_map(static fn (int $v, int $i): int => $i % 4 === 0 ? min(3, $v + 1) : $v, $first, array_keys($first))],
        );
        $of = static fn (Agreement $a): Figure => $a->kappa('quadratic');
        $figure = $agreement->bootstrapped($of, 'a', 300);
        self::assertTrue($figure->low < $figure->value && $figure->value < $figure->high && $figure->high <= 1.0);
        self::assertEquals($figure, $agreement->bootstrapped($of, 'a', 300));
        self::assertNotEquals($figure, $agreement->bootstrapped($of, 'b', 300));
        self::assertNull(
            self::agreement([0, 1], [[0, 1, 1], [0, 1, 0]])->bootstrapped($of, 'a', 300)->low,
            'three units say nothing of another three',
        );
    }

    public function testKappaAndItsWeights(): void
    {
        $cells = [[20, 5, 0], [5, 20, 5], [0, 15, 30]];
        $a = $b = [];
        foreach ($cells as $i => $row) {
            foreach ($row as $j => $count) {
                array_push($a, ...array_fill(0, $count, $i));
                array_push($b, ...array_fill(0, $count, $j));
            }
        }
        $agreement = self::agreement([0, 1, 2], [$a, $b]);
        // Rows 25, 30, 45; columns 25, 40, 35: chance .0625 + .12 + .1575 = .34.
        self::assertEqualsWithDelta((0.7 - 0.34) / 0.66, $agreement->kappa()->value, 1e-12);
        // Linear: observed cost .3 · ½; chance cost ½·(.10 + .075 + .105 + .18) + (.0875 + .1125).
        self::assertEqualsWithDelta(1 - 0.15 / (0.5 * 0.46 + 0.2), $agreement->kappa('linear')->value, 1e-12);
        self::assertEqualsWithDelta(1 - 0.075 / (0.25 * 0.46 + 0.2), $agreement->kappa('quadratic')->value, 1e-12);
        self::assertEqualsWithDelta(0.7, $agreement->share(0)->value, 1e-12);
        self::assertEqualsWithDelta(1.0, $agreement->share(1)->value, 1e-12);
    }

    public function testWhatTheDataDoNotAllowIsMissingWithAReason(): void
    {
        $alone = self::agreement([0, 1], [[1, 0, 1]]);
        foreach ([$alone->share(0), $alone->kappa(), $alone->alpha('nominal'), $alone->icc()] as $figure) {
            self::assertNull($figure->value);
            self::assertNotNull($figure->note);
        }
        $same = self::agreement([0, 1], [[1, 1, 1], [1, 1, 1]]);
        self::assertNull($same->alpha('ordinal')->value);
        self::assertNull($same->icc()->value);
        self::assertSame(1.0, $same->share(0)->value);
    }

    public function testTheOrderOfUnitsAndMarkersDoesNotMatter(): void
    {
        $marks = [[0, 1, 2, 2, 1], [0, 2, 2, 1, 1], [1, 1, 2, null, 0]];
        $turned = array_map(array_reverse(...), [$marks[2], $marks[1], $marks[0]]);
        foreach (['nominal', 'ordinal', 'interval'] as $metric) {
            self::assertEqualsWithDelta(
                self::agreement([0, 1, 2], $marks)->alpha($metric)->value,
                self::agreement([0, 1, 2], $turned)->alpha($metric)->value,
                1e-12,
            );
        }
        self::assertEqualsWithDelta(
            self::agreement([0, 1, 2], $marks)->kappa('linear')->value,
            self::agreement([0, 1, 2], $turned)->kappa('linear')->value,
            1e-12,
        );
    }

    /**
     * @param list<int>                   $levels
     * @param array<int, array<int, int|null>> $markers marks by unit
     */
    private static function agreement(array $levels, array $markers): Agreement
    {
        $units = [];
        foreach ($markers as $m => $marks) {
            foreach ($marks as $u => $mark) {
                if ($mark !== null) {
                    $units[$u][$m] = (float) $mark;
                }
            }
        }

        return new Agreement(array_map(floatval(...), $levels), count($markers), array_values($units));
    }

    public function testNoTableHoweverPoorDividesByZeroOrLeavesTheScale(): void
    {
        // Every table of three units by two markers, and every seventh by three, whose marks are 0, 1 or missing.
        foreach ([2, 3] as $markers) {
            for ($code = 0; $code < 3 ** (3 * $markers); $code += $markers === 2 ? 1 : 7) {
                $units = [];
                $rest = $code;
                for ($u = 0; $u < 3; ++$u) {
                    for ($m = 0; $m < $markers; ++$m) {
                        $digit = $rest % 3;
                        $rest = intdiv($rest, 3);
                        if ($digit < 2) {
                            $units[$u][$m] = (float) $digit;
                        }
                    }
                    $units[$u] ??= [];
                }
                $agreement = new Agreement([0.0, 1.0], $markers, array_values($units));
                foreach ([
                    $agreement->share(0), $agreement->share(1), $agreement->kappa(), $agreement->kappa('quadratic'),
                    $agreement->alpha('nominal'), $agreement->alpha('ordinal'), $agreement->alpha('interval'), $agreement->icc(),
                ] as $figure) {
                    foreach ([$figure->value, $figure->low, $figure->high] as $value) {
                        $here = json_encode($units, JSON_THROW_ON_ERROR);
                        self::assertTrue($value === null || (is_finite($value) && $value <= 1.0 + 1e-9), $here);
                    }
                }
            }
        }
    }
}
