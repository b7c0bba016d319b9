<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Marginal;
use ChalkLadder\Core\Analysis\Model\Symmetric;
use ChalkLadder\Core\Analysis\Model\TwoParameter;
use PHPUnit\Framework\TestCase;

final class TwoParameterTest extends TestCase
{
    public function testTheClassicExampleAgreesWithThePublishedFit(): void
    {
        // Published (Bock & Aitkin 1981 and later texts, three decimals): log-likelihood −2466.653; slopes .825 .723 .890 .689 .657.
        $fit = TwoParameter::of(Lsat::data(), null);
        self::assertEqualsWithDelta(-2466.653, $fit->logLikelihood, 5e-4);
        foreach ([0.825, 0.723, 0.890, 0.689, 0.657] as $i => $slope) {
            self::assertEqualsWithDelta($slope, $fit->questions[$i]['slope'], 1.5e-3);
        }
        foreach ([-3.360, -1.370, -0.280, -1.866, -3.124] as $i => $difficulty) {
            self::assertEqualsWithDelta($difficulty, $fit->questions[$i]['difficulty'], 3e-3);
        }
        // Maximised independently on 201 nodes by quasi-Newton (R's optim).
        foreach ([0.825659, 0.722744, 0.890875, 0.688368, 0.656856] as $i => $slope) {
            self::assertEqualsWithDelta($slope, $fit->questions[$i]['slope'], 2e-6);
        }
        foreach ([2.773234, 0.990201, 0.249148, 1.284757, 2.053270] as $i => $intercept) {
            self::assertEqualsWithDelta($intercept, $fit->questions[$i]['intercept'], 2e-6);
        }
        foreach ([0.258115, 0.186680, 0.232764, 0.185143, 0.209909] as $i => $se) {
            self::assertEqualsWithDelta($se, $fit->questions[$i]['se']['slope'], 2e-4);
        }
        foreach ([0.205744, 0.090019, 0.076273, 0.099038, 0.135359] as $i => $se) {
            self::assertEqualsWithDelta($se, $fit->questions[$i]['se']['intercept'], 2e-4);
        }
    }

    public function testKnownParametersComeBackWithinTheirErrors(): void
    {
        $slopes = [0.6, 0.8, 1.0, 1.2, 1.4, 1.6, 0.7, 0.9, 1.1, 1.3];
        $intercepts = [-1.5, -1.0, -0.5, 0.0, 0.3, 0.6, 0.9, 1.2, 1.5, -0.2];
        foreach (['complete' => 0.0, 'with gaps' => 0.08] as $name => $missing) {
            $fit = TwoParameter::of(Simulated::answers($slopes, $intercepts, 800, '2pl', $missing));
            $squares = 0.0;
            foreach ($fit->questions as $i => $q) {
                $squares += ((($q['slope'] ?? 9) - $slopes[$i]) / ($q['se']['slope']
                    ?? 1)) ** 2 + ((($q['intercept'] ?? 9) - $intercepts[$i]) / ($q['se']['intercept']
                    ?? 1)) ** 2;
            }
            self::assertLessThan(1.9, $squares / 20, $name);
            self::assertGreaterThan(0.3, $squares / 20, "$name: errors that are far too wide would hide anything");
        }
    }

    public function testExpectedAbilitiesRiseWithWhatIsRightAndShrinkTowardsTheMean(): void
    {
        $fit = TwoParameter::of(Lsat::data(), null);
        $rows = Lsat::data()->rows;
        $of = static fn (array $row): float => $fit->abilities[(int) array_search($row, $rows, true)];
        self::assertLessThan($of([1, 0, 0, 0, 1]), $of([0, 0, 0, 0, 0]));
        self::assertLessThan($of([1, 1, 1, 1, 1]), $of([1, 1, 0, 1, 1]));
        self::assertEqualsWithDelta(
            0.0,
            array_sum($fit->abilities) / 1000,
            1e-6,
            'posterior means average to the prior mean at the maximum',
        );
        foreach ($fit->abilityErrors as $error) {
            self::assertTrue($error > 0.5 && $error < 1.0);
        }
    }

    public function testOrderChangesNothing(): void
    {
        $data = Simulated::answers([1.0, 1.3, 0.8, 1.1], [0.5, 0.0, -0.4, 0.9], 300, 'order');
        $fit = TwoParameter::of($data, null);
        $turned = TwoParameter::of(new Binary(array_reverse($data->ids), array_map(array_reverse(...), array_reverse($data->rows))), null);
        foreach ($fit->questions as $i => $q) {
            self::assertEqualsWithDelta($q['slope'], $turned->questions[3 - $i]['slope'], 1e-5);
        }
        self::assertEqualsWithDelta($fit->logLikelihood, $turned->logLikelihood, 1e-7);
    }

    public function testTheLikelihoodOfASteepCurveIsExactAndNeverAboveNought(): void
    {
        // One question, slope 12, intercept 60: at ability -5 half are right, at 0 all but e^-60. Cut off at 1e-15, a wrong answer there
        // would be e^25 times too likely.
        $marginal = Marginal::of(new Binary(['a'], [[0], [1]]), [0]);
        $nodes = array_map(static fn (int $q): float => -6 + 0.3 * $q, range(0, 40));
        $prior = array_map(static fn (float $t): float => exp(-$t * $t / 2), $nodes);
        $wrong = array_map(static fn (float $t): float => 1 / (1 + exp(12 * $t + 60)), $nodes);
        $share = array_sum(array_map(static fn (float $p, float $w): float => $p * $w, $prior, $wrong)) / array_sum($prior);
        self::assertEqualsWithDelta(log($share) + log1p(-$share), $marginal->likelihood([12.0, 60.0]), 1e-9);
        self::assertLessThan(0.0, $marginal->likelihood([15.0, 200.0]));
    }

    public function testBothWaysToTheInformationAgree(): void
    {
        $data = Simulated::answers([0.8, 1.0, 1.3, 0.7], [0.5, -0.3, 0.0, 0.9], 200, 'information', 0.2);
        foreach ([null, TwoParameter::PRIOR] as $prior) {
            $marginal = Marginal::of($data, [0, 1, 2, 3], $prior);
            $at = [0.9, 1.1, 1.4, 0.6, 0.4, -0.2, 0.1, 0.8];
            $scores = $marginal->informationByScores($at);
            foreach ($marginal->informationByDifferences($at) as $i => $row) {
                foreach ($row as $j => $value) {
                    self::assertEqualsWithDelta($value, $scores[$i][$j], 1e-4 * max(1.0, abs($value)), "$i, $j");
                }
            }
        }
    }

    public function testWithAPriorASlopeNeitherGrowsWithoutEndNorTurnsOver(): void
    {
        // d is right for whoever has a right: by itself its slope has no end. b is right for those who have nothing else right.
        $rows = [];
        for ($i = 0; $i < 40; ++$i) {
            $a = $i % 2;
            $rows[] = [$a, 1 - $a, ($i >> 1) % 2 === 0 ? $a : 1 - $a, $a];
        }
        $data = new Binary(['a', 'b', 'c', 'd'], $rows);
        self::assertStringContainsString('without end', (string) TwoParameter::of($data, null)->note);
        $fit = TwoParameter::of($data);
        self::assertNull($fit->note);
        foreach ($fit->questions as $q) {
            self::assertTrue($q['slope'] > 0.0 && $q['slope'] < 6.0 && $q['se']['slope'] > 0.0);
        }
        self::assertLessThan(0.5, $fit->questions[1]['slope']);
        // Enough answers outweigh it: with a thousand, the published slopes move by a few hundredths.
        $plain = TwoParameter::of(Lsat::data(), null);
        foreach (TwoParameter::of(Lsat::data())->questions as $i => $q) {
            self::assertEqualsWithDelta($plain->questions[$i]['slope'], $q['slope'], 0.1);
        }
    }

    public function testQuestionsThatHangTogetherAreNamed(): void
    {
        $data = Simulated::answers(array_fill(0, 10, 1.0), array_map(static fn (int $i): float => -1.0 + $i / 5, range(0, 9)), 400, 'q3');
        self::assertSame([], TwoParameter::of($data)->dependent);
        $rows = array_map(static function (array $row): array {
            // The last repeats what the first has, four times in five.
            $row[9] = (int) $row[4] + (int) $row[5] * 2 + (int) $row[6] * 4 < 6 ? $row[0] : $row[9];

            return array_values($row);
        }, $data->rows);
        $pairs = TwoParameter::of(new Binary($data->ids, $rows))->dependent;
        self::assertSame([[$data->ids[0], $data->ids[9], 400]], array_map(static fn ($p): array => [$p->first, $p->second, $p->n], $pairs));
        self::assertGreaterThan(0.25, $pairs[0]->q3);
    }

    public function testTooLittleIsSaidNotGuessed(): void
    {
        foreach ([[[1, 0, 1]], [[1, 1, 1], [1, 1, 1]], [[null, null, null], [null, null, null]], []] as $rows) {
            $fit = TwoParameter::of(new Binary(['a', 'b', 'c'], $rows));
            self::assertNotNull($fit->note);
            self::assertNull($fit->questions[0]['slope']);
        }
        $few = TwoParameter::of(new Binary(['a', 'b', 'c', 'all'], [[1, 0, 0, 1], [1, 1, 0, 1], [0, 0, 0, 1], [1, 1, 1, 1], [0, 1, 0, 1]]));
        self::assertSame('All who answered it have the same.', $few->questions[3]['note']);
        foreach ($few->questions as $q) {
            self::assertFalse(is_nan($q['slope'] ?? 0.0) || is_nan($q['se']['slope'] ?? 0.0));
        }
    }

    public function testInversesOfPositiveDefiniteMatrices(): void
    {
        $inverse = Symmetric::inverse([[4.0, 2.0, 0.6], [2.0, 5.0, 1.0], [0.6, 1.0, 3.0]]);
        self::assertNotNull($inverse);
        foreach ([[4.0, 2.0, 0.6], [2.0, 5.0, 1.0], [0.6, 1.0, 3.0]] as $i => $row) {
            foreach (Symmetric::times($inverse, $row) as $j => $v) {
                self::assertEqualsWithDelta($i === $j ? 1.0 : 0.0, $v, 1e-12);
            }
            self::assertEqualsWithDelta(
                $inverse[$i][$i],
                Symmetric::inverseDiagonal([[4.0, 2.0, 0.6], [2.0, 5.0, 1.0], [0.6, 1.0, 3.0]])[$i],
                1e-12,
            );
        }
        self::assertNull(Symmetric::inverse([[1.0, 2.0], [2.0, 1.0]]), 'not positive definite');
        self::assertNull(Symmetric::inverse([[1.0, 1.0], [1.0, 1.0]]), 'flat');
    }
}
