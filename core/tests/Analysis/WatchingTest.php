<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Watching;
use ChalkLadder\Core\Sitting\Played;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WatchingTest extends TestCase
{
    public function testSaysWhatWasPlayedAndWhatAgain(): void
    {
        // Four and a half seconds: five parts, the last of half a second.
        $report = Watching::of([
            'once' => [new Played(4500, [1, 1, 1, 1, 1])],
            'again' => [new Played(4500, [1, 1, 3, 1, 0])],
            'two devices' => [new Played(4500, [1, 0, 0, 0, 0]), new Played(4500, [0, 1, 3, 0, 0])],
            'never' => [],
        ]);
        self::assertNotNull($report);
        self::assertSame([4.5, 1], [$report->seconds, $report->part]);
        self::assertSame([0.75, 0.75, 0.75, 0.5, 0.25], $report->shares);
        self::assertEqualsWithDelta([1.0, 1.0, 7 / 3, 1.0, 1.0], $report->times, 1e-12);
        self::assertSame([['from' => 2.0, 'to' => 3.0, 'times' => 7 / 3]], $report->again);
        self::assertSame(['share' => 1.0, 'times' => 1.0, 'until' => 4.5], $report->students['once']);
        self::assertEqualsWithDelta(['share' => 4 / 4.5, 'times' => 6 / 4.5, 'until' => 4.0], $report->students['again'], 1e-12);
        self::assertEqualsWithDelta(['share' => 3 / 4.5, 'times' => 5 / 4.5, 'until' => 3.0], $report->students['two devices'], 1e-12);
        self::assertSame(['share' => 0.0, 'times' => 0.0, 'until' => 0.0], $report->students['never']);
        self::assertSame([0.25, 4, 'few'], [$report->through->value, $report->through->n, $report->through->note]);
    }

    public function testWhatEverybodyPlaysTwiceIsNotPlayedAgainSomewhere(): void
    {
        self::assertSame([], Watching::of([[new Played(3000, [2, 2, 2])]])?->again);
        self::assertNull(Watching::of([[], []]), 'nobody played anything');
    }

    public function testDevicesMayDifferInTheLength(): void
    {
        // One says 120.0 s, the other 120.2 s: parts of a second, and of two.
        $report = Watching::of([[new Played(120_000, array_fill(0, 120, 1)), new Played(120_200, [...array_fill(0, 60, 0), 1])]]);
        self::assertSame([2, 61], [$report?->part, count($report->times ?? [])]);
        self::assertEqualsWithDelta(['share' => 1.0, 'times' => 1.0, 'until' => 120.2], $report?->students[0], 1e-9);
    }

    /** @param list<int> $times */
    #[DataProvider('wrong')]
    public function testWhatIsNoPartOfItIsRefused(int $millis, array $times): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new Played($millis, $times);
    }

    /** @return array<string, array{int, list<int>}> */
    public static function wrong(): array
    {
        return [
            'nothing long' => [0, []],
            'too long' => [Played::LONGEST + 1, array_fill(0, 120, 1)],
            'a part too few' => [4500, [1, 1, 1, 1]],
            'a part too many' => [4500, [1, 1, 1, 1, 1, 1]],
            'less than never' => [1000, [-1]],
            'too often' => [1000, [1000]],
        ];
    }
}
