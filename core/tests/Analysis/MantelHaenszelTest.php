<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\MantelHaenszel;
use PHPUnit\Framework\TestCase;

final class MantelHaenszelTest extends TestCase
{
    public function testThePublishedExample(): void
    {
        // Smoking and lung cancer in eight Chinese cities: Agresti, Categorical Data Analysis (2002), table 6.7 and
        // §6.3.5: common odds ratio 2.17. Interval 1.98400 to 2.38325 and χ² 279.376 with the correction, by an
        // independent program (R 4.2).
        $cities = [
            [126, 100, 35, 61],
            [908, 688, 497, 807],
            [913, 747, 336, 598],
            [235, 172, 58, 121],
            [402, 308, 121, 215],
            [182, 156, 72, 98],
            [60, 99, 11, 43],
            [104, 89, 21, 36],
        ];
        $found = MantelHaenszel::of($cities);
        self::assertEqualsWithDelta(2.17, $found->oddsRatio, 0.005);
        self::assertEqualsWithDelta(2.1744819, $found->oddsRatio, 1e-7);
        self::assertEqualsWithDelta(-2.35 * log(2.3832495), $found->delta->low, 1e-6);
        self::assertEqualsWithDelta(-2.35 * log(1.9840020), $found->delta->high, 1e-6);
        self::assertEqualsWithDelta(279.37574, $found->chiSquare, 1e-5);
        self::assertSame('C', $found->class);
    }

    public function testOneTableIsItsOddsRatio(): void
    {
        $one = MantelHaenszel::of([[30, 10, 20, 20]]);
        self::assertEqualsWithDelta(3.0, $one->oddsRatio, 1e-12);
        self::assertEqualsWithDelta(-2.35 * log(3), $one->delta->value, 1e-12);
        $turned = MantelHaenszel::of([[20, 20, 30, 10]]);
        self::assertEqualsWithDelta(-($one->delta->value ?? 0.0), $turned->delta->value, 1e-12, 'the groups change places');
    }

    public function testNoDifferenceIsClassA(): void
    {
        $none = MantelHaenszel::of([[40, 10, 20, 5], [20, 20, 15, 15]]);
        self::assertEqualsWithDelta(0.0, $none->delta->value, 1e-12);
        self::assertSame('A', $none->class);
    }

    public function testTablesThatSayNothingGiveAReason(): void
    {
        foreach ([[], [[0, 0, 5, 5]], [[5, 0, 5, 0]], [[1, 0, 0, 0]]] as $tables) {
            $found = MantelHaenszel::of($tables);
            self::assertNull($found->delta->value);
            self::assertNotNull($found->delta->note);
            self::assertNull($found->oddsRatio);
        }
        self::assertEqualsWithDelta(
            3.0,
            MantelHaenszel::of([[30, 10, 20, 20], [7, 0, 0, 0]])->oddsRatio,
            1e-12,
            'a score that one group alone has plays no part',
        );
    }
}
