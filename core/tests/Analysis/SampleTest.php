<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Sample;
use PHPUnit\Framework\TestCase;

final class SampleTest extends TestCase
{
    public function testDescriptionsOfAFewNumbers(): void
    {
        $x = [2.0, 4.0, 4.0, 4.0, 5.0, 5.0, 7.0, 9.0];
        self::assertSame(5.0, Sample::mean($x));
        self::assertSame(32.0, Sample::squares($x));
        self::assertEqualsWithDelta(sqrt(32 / 7), Sample::sd($x) ?? 0.0, 1e-12);
        self::assertSame(
            [2.0, 4.0, 4.5, 5.5, 9.0],
            array_map(static fn (float $p): ?float => Sample::quantile($x, $p), [0.0, 0.25, 0.5, 0.75, 1.0]),
        );
        self::assertSame([null, 0.0, null, null], [Sample::mean([]), Sample::squares([]), Sample::sd([1.0]), Sample::quantile([], 0.5)]);
    }

    public function testThePointBiserialIsPearsonsCorrelationWithAMarkOfZeroOrOne(): void
    {
        $values = [0.1, 0.9, 0.4, 0.4, 0.75, 0.2, 1.0, 0.55];
        foreach (range(0, 255) as $bits) {
            $marks = array_map(static fn (int $i): float => (float) ($bits >> $i & 1), range(0, 7));
            $sum = array_sum(array_map(static fn (float $m, float $v): float => $m * $v, $marks, $values));
            $direct = Sample::correlation($marks, $values);
            $short = Sample::pointBiserial((int) array_sum($marks), $sum, 8, array_sum($values) / 8, Sample::squares($values));
            self::assertSame($direct === null, $short === null);
            self::assertEqualsWithDelta($direct ?? 0.0, $short ?? 0.0, 1e-12);
        }
        self::assertNull(Sample::pointBiserial(1, 0.5, 4, 0.5, Sample::squares([0.5, 0.5, 0.5, 0.5])));
    }
}
