<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\PairReading;

use ChalkLadder\Core\PairReading\BradleyTerry;
use PHPUnit\Framework\TestCase;

final class BradleyTerryTest extends TestCase
{
    /** Seven teams of the 1987 American League: A. Agresti, Categorical Data Analysis (1990), table 10.10, with the estimates there. */
    public function testAPublishedPreferenceTable(): void
    {
        $teams = ['Milwaukee', 'Detroit', 'Toronto', 'New York', 'Boston', 'Cleveland', 'Baltimore'];
        $wins = [
            [0, 7, 9, 7, 7, 9, 11],
            [6, 0, 7, 5, 11, 9, 9],
            [4, 6, 0, 7, 7, 8, 12],
            [6, 8, 6, 0, 6, 7, 10],
            [6, 2, 6, 7, 0, 7, 12],
            [4, 4, 5, 6, 6, 0, 6],
            [2, 4, 1, 3, 1, 7, 0],
        ];
        $results = [];
        foreach ($wins as $i => $row) {
            foreach ($row as $j => $count) {
                array_push($results, ...array_fill(0, $count, [$teams[$i], $teams[$j]]));
            }
        }
        $fit = BradleyTerry::of($results);

        self::assertNull($fit->note);
        foreach ([
            'Milwaukee' => 1.58,
            'Detroit' => 1.44,
            'Toronto' => 1.29,
            'New York' => 1.25,
            'Boston' => 1.11,
            'Cleveland' => 0.68,
        ] as $team => $ability) {
            self::assertEqualsWithDelta($ability, $fit->objects[$team]['ability'] - $fit->objects['Baltimore']['ability'], 0.005, $team);
        }
        self::assertEqualsWithDelta(0.0, array_sum(array_column($fit->objects, 'ability')), 1e-9);
        self::assertSame([50, 28], [$fit->objects['Milwaukee']['wins'], $fit->objects['Milwaukee']['losses']]);
    }

    public function testTwoThingsByHand(): void
    {
        $fit = BradleyTerry::of([...array_fill(0, 30, ['a', 'b']), ...array_fill(0, 10, ['b', 'a'])]);
        // β = ½ ln 3 on either side of 0; the difference has variance 1 / (n p q), each ability a quarter of it.
        self::assertEqualsWithDelta(log(3) / 2, $fit->objects['a']['ability'], 1e-8);
        self::assertEqualsWithDelta(sqrt(1 / (40 * 0.75 * 0.25)) / 2, $fit->objects['a']['se'], 1e-6);
    }

    public function testWhoWonEverythingIsNamedAndFinite(): void
    {
        $fit = BradleyTerry::of([['a', 'b'], ['a', 'c'], ['b', 'c'], ['x', 'y']]);
        self::assertNotNull($fit->note);
        foreach ($fit->objects as $object) {
            self::assertTrue(is_finite($object['ability']) && is_finite($object['se']));
        }
        self::assertGreaterThan($fit->objects['b']['ability'], $fit->objects['a']['ability']);
        self::assertSame([], BradleyTerry::of([])->objects);
    }

    public function testKnownAbilitiesAreRecoveredWithinTheirErrors(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(5));
        $true = array_combine(
            array_map(static fn (int $i): string => "o$i", range(0, 19)),
            array_map(static fn (int $i): float => ($i - 9.5) / 6, range(0, 19)),
        );
        $results = [];
        for ($n = 0; $n < 2500; ++$n) {
            [$a, $b] = $random->pickArrayKeys($true, 2);
            $wins = $random->getInt(0, 999_999) / 1e6 < 1 / (1 + exp($true[$b] - $true[$a]));
            $results[] = $wins ? [(string) $a, (string) $b] : [(string) $b, (string) $a];
        }
        $fit = BradleyTerry::of($results);
        $within = count(array_filter(
            $true,
            static fn (float $ability, string $id): bool => abs($fit->objects[$id]['ability'] - $ability) < 1.96 * $fit->objects[$id]['se'],
            ARRAY_FILTER_USE_BOTH,
        ));

        self::assertGreaterThanOrEqual(17, $within);
        self::assertGreaterThan(0.9, $fit->reliability);
    }
}
