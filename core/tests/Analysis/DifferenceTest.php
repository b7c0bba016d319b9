<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Difference;
use ChalkLadder\Core\Analysis\Severity;
use ChalkLadder\Core\Analysis\SkillShare;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class DifferenceTest extends TestCase
{
    /** Extra hours of sleep under two drugs, ten patients: Student, Biometrika 6 (1908), 1–25. */
    private const FIRST = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0];
    private const SECOND = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];

    public function testStudentsSleepExample(): void
    {
        // Mean difference 1.58; Welch: t = 1.8608 on 17.776 degrees of freedom, interval −0.2055 to 3.3655. Paired: 0.7001 to 2.4599.
        $between = Difference::between(self::SECOND, self::FIRST);
        self::assertEqualsWithDelta(1.58, $between->value, 1e-9);
        self::assertEqualsWithDelta(-0.2054832, $between->low, 1e-6);
        self::assertEqualsWithDelta(3.3654832, $between->high, 1e-6);
        $paired = Difference::paired(self::FIRST, self::SECOND);
        self::assertEqualsWithDelta(0.7001142, $paired->low, 1e-6);
        self::assertEqualsWithDelta(2.4598858, $paired->high, 1e-6);
        self::assertEqualsWithDelta(
            0.8321811 * (1 - 3 / 71),
            Difference::effect(self::SECOND, self::FIRST)->value,
            1e-6,
            'Cohen’s d 0.832, corrected',
        );
    }

    /** Hedges and Olkin 1985, chapters 5 and 6, worked out apart from this code. */
    public function testTheEffectOfTheSleepExampleWithItsInterval(): void
    {
        $effect = Difference::effect(self::SECOND, self::FIRST);
        self::assertEqualsWithDelta(0.7970185004, $effect->value, 1e-9);
        self::assertEqualsWithDelta(-0.1136394082, $effect->low, 1e-9);
        self::assertEqualsWithDelta(1.7076764091, $effect->high, 1e-9);
    }

    public function testIntervalsCoverTheTruthAsOftenAsTheySay(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'coverage', true)));
        $normal = static fn (float $sd): float => $sd
            * sqrt(-2 * log(1 - $random->getInt(0, 999_999_999) / 1e9))
            * cos(2 * M_PI * $random->getInt(0, 999_999_999) / 1e9);
        $hits = 0;
        for ($i = 0; $i < 600; ++$i) {
            $a = $b = [];
            for ($j = 0; $j < 12; ++$j) {
                $a[] = 0.3 + $normal(1.0);
                $b[] = $normal(2.5);
            }
            $d = Difference::between($a, array_slice($b, 0, 7));
            $hits += ($d->low ?? 9) <= 0.3 && ($d->high ?? -9) >= 0.3 ? 1 : 0;
        }
        // Four standard errors about 570 of 600.
        self::assertEqualsWithDelta(570, $hits, 22);
    }

    public function testTooFewIsSaid(): void
    {
        self::assertNull(Difference::between([1.0], [1.0, 2.0])->value);
        self::assertNull(Difference::paired([1.0], [2.0])->value);
        self::assertNull(Difference::effect([1.0, 1.0], [1.0, 1.0])->value);
        self::assertNull(Difference::effect([1.0, 2.0, 4.0], [1.0])->value);
        self::assertNotNull(Difference::effect([2.0, 3.0], [1.0, 2.0])->value, 'two on each side are enough');
        $flat = Difference::between([1.0, 1.0], [0.5, 0.5]);
        self::assertSame([0.5, null], [$flat->value, $flat->low]);
        self::assertSame('few', Difference::between([1.0, 2.0, 3.0], [0.0, 1.0, 2.0])->note);
    }

    public function testAStrictMarkerStandsBelowTheOthers(): void
    {
        $units = [];
        for ($i = 0; $i < 12; ++$i) {
            $fair = (float) ($i % 5);
            $units[] = ['Maren' => $fair, 'Idris' => $fair - 1, 'Suvi' => $i % 3 === 0 ? null : $fair];
        }
        $units[] = ['Bram' => 2.0];
        $severity = Severity::of($units);
        self::assertEqualsWithDelta(-1.0, $severity['Idris']->value, 1e-9);
        self::assertLessThan(0.0, $severity['Idris']->high);
        self::assertEqualsWithDelta((4 * 1.0 + 8 * 0.5) / 12, $severity['Maren']->value, 1e-9);
        self::assertNull($severity['Bram']->value);
        self::assertSame('Nobody else has marked the same work.', $severity['Bram']->note);
    }

    public function testASkillIsStrongOrWeakOnlyWhenItsIntervalSaysSo(): void
    {
        $strong = SkillShare::of([1.0, 1.0, 1.0, 1.0, 1.0, 1.0], 0.5);
        self::assertSame([1.0, 6, 1], [$strong->share->value, $strong->share->n, $strong->standing]);
        self::assertSame(0, SkillShare::of([1.0, 1.0], 0.1)->standing, 'two answers say little');
        self::assertSame(-1, SkillShare::of(array_fill(0, 8, 0.0), 0.5)->standing);
        self::assertNull(SkillShare::of([], 0.5)->share->value);
    }
}
