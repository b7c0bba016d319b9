<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemTemplate;

/**
 * All that a section's route may be asked about: which credits its questions can earn together, and which share of its marks that is.
 * Only the questions that some exit names are told apart; of the others no more is known than their sum. So a section of forty questions
 * whose exits ask for the share alone has as many patterns as there are sums.
 *
 * Exact while there are no more than {@see MOST} patterns and every question says which credits it gives; beyond that it is a sample,
 * evenly taken, with the least and the most in it.
 */
final readonly class ScoreSpace
{
    public const MOST = 2000;
    private const STEPS = 10;
    private const LARGEST_DENOMINATOR = 1_000_000;

    /** @param list<array<string, BigRational>> $patterns as {@see Route::names()} gives them, each once */
    private function __construct(public array $patterns, public bool $exact)
    {
    }

    /**
     * @param array<string, ItemTemplate> $items by bank id
     * @param list<string>                $named what the exits ask for
     * @param int                         $most  patterns, 2 to {@see MOST}
     */
    public static function of(Section $section, array $items, ?MasteryRule $mastery, array $named, int $most = self::MOST): self
    {
        $exact = true;
        $apart = [];
        /** @var list<array{levels: list<BigRational>, points: BigRational}> $together */
        $together = [];
        /** @var list<array{levels: list<BigRational>, points: BigRational}> $drawn */
        $drawn = [];
        $drawable = $section->drawable();
        $possible = BigRational::zero();
        foreach ($section->questions() as $i => $entry) {
            $item = ($items[$entry->item ?? ''] ?? null)?->sample();
            $marked = $item !== null && !$item->rule->waitsForMarker();
            $listed = $marked ? $item->credits() : [BigRational::zero()];
            $exact = $exact && $listed !== null;
            $levels = self::levels($listed ?? array_map(
                static fn (int $n): BigRational => BigRational::nd($n, self::STEPS),
                range(0, self::STEPS),
            ), $mastery);
            $points = $marked ? $entry->points : BigRational::zero();
            if (in_array($entry, $drawable, true)) {
                $drawn[] = ['levels' => $levels, 'points' => $points];

                continue;
            }
            $possible = $possible->plus($points);
            if (in_array('q'.($i + 1), $named, true)) {
                $apart[] = ['name' => 'q'.($i + 1), 'levels' => $levels, 'points' => $points];
            } else {
                $together[] = ['levels' => $levels, 'points' => $points];
            }
        }
        $count = min(count($drawn), $section->drawing->count ?? 0);
        if ($count > 0) {
            // Questions are drawn among those that are worth the same; what they bring together is like one question's credit.
            [$some, $known] = self::sums($drawn, $count);
            $together[] = ['levels' => $some, 'points' => BigRational::one()];
            $possible = $possible->plus($drawn[0]['points']->multipliedBy($count));
            $exact = $exact && $known;
        }
        [$sums, $all] = self::sums($together);
        $patterns = [];
        $count = array_product(array_map(static fn (array $q): int => count($q['levels']), $apart)) * count($sums);
        foreach (self::chosen((int) min($count, PHP_INT_MAX), $most) as $at) {
            $names = [];
            $reached = $sums[$at % count($sums)];
            $at = intdiv($at, count($sums));
            foreach ($apart as $q) {
                $names[$q['name']] = $q['levels'][$at % count($q['levels'])];
                $reached = $reached->plus($names[$q['name']]->multipliedBy($q['points']));
                $at = intdiv($at, count($q['levels']));
            }
            $names['share'] = $possible->isZero() ? $possible : $reached->dividedBy($possible)->simplified();
            $patterns[] = $names;
        }

        return new self($patterns, $exact && $all && $count <= $most);
    }

    /**
     * A question's best credit over its tries, each weighed by what its try earns.
     *
     * @param list<BigRational> $credits
     *
     * @return non-empty-list<BigRational> ascending
     */
    private static function levels(array $credits, ?MasteryRule $mastery): array
    {
        $levels = ['0' => BigRational::zero()];
        foreach ($credits as $credit) {
            for ($try = 1; $try <= ($mastery->returns ?? 0) + 1; ++$try) {
                $level = $mastery === null ? $credit : $credit->multipliedBy($mastery->shareOfTry($try));
                $levels[(string) $level->simplified()] = $level->simplified();
            }
        }
        usort($levels, static fn (BigRational $a, BigRational $b): int => $a->compareTo($b));

        return $levels;
    }

    /**
     * What these questions, or so many of them, can bring together, ascending. Counted in whole parts of a mark, so that no sum is missed
     * or met twice.
     *
     * @param list<array{levels: list<BigRational>, points: BigRational}> $questions
     * @param int|null                                                    $some      how many of them; null for all
     *
     * @return array{list<BigRational>, bool} the sums, at least that of nothing,, and whether these are all
     */
    private static function sums(array $questions, ?int $some = null): array
    {
        $worth = array_map(static fn (array $q): array => array_map(
            static fn (BigRational $l): BigRational => $l->multipliedBy($q['points'])->simplified(),
            $q['levels'],
        ), $questions);
        $parts = BigInteger::one();
        foreach (array_merge(...$worth) as $value) {
            $parts = $parts->multipliedBy($value->getDenominator())->quotient($parts->gcd($value->getDenominator()));
            if ($parts->isGreaterThan(self::LARGEST_DENOMINATOR)) {
                return [self::ends($worth), false];
            }
        }
        $whole = $parts->toInt();
        /** @var array<int, array<int, true>> $bySize sums by how many questions brought them */
        $bySize = [0 => [0 => true]];
        $all = true;
        foreach ($worth as $n => $values) {
            $next = [];
            for ($size = min($n, $some ?? $n); $size >= 0; --$size) {
                foreach ($values as $value) {
                    $add = $value->multipliedBy($whole)->toBigInteger()->toInt();
                    foreach ($bySize[$size] ?? [] as $sum => $_) {
                        $next[$size + 1][$sum + $add] = true;
                    }
                }
                if ($some !== null) {
                    $next[$size] = ($next[$size] ?? []) + ($bySize[$size] ?? []);
                }
            }
            foreach ($next as $size => $found) {
                if (count($found) > self::MOST) {
                    ksort($found);
                    $keys = array_keys($found);
                    $next[$size] = array_fill_keys(array_map(static fn (int $i): int => $keys[$i], self::evenly(count($keys))), true);
                    $all = false;
                }
            }
            $bySize = $next;
        }
        $sums = $bySize[$some ?? count($worth)] ?? [0 => true];
        ksort($sums);

        return [array_map(static fn (int $sum): BigRational => BigRational::nd($sum, $whole), array_keys($sums)), $all];
    }

    /**
     * @param list<list<BigRational>> $worth
     *
     * @return non-empty-list<BigRational> nothing and everything
     */
    private static function ends(array $worth): array
    {
        return [BigRational::zero(), BigRational::sum(BigRational::zero(), ...array_map(
            static fn (array $values): BigRational => $values === [] ? BigRational::zero() : BigRational::max(...$values),
            $worth,
        ))];
    }

    /** @return list<int> places of patterns: all, or a sample */
    private static function chosen(int $count, int $most): array
    {
        return $count <= $most ? range(0, max(0, $count - 1)) : self::evenly($count, $most);
    }

    /** @return list<int> so many places of a list, the first and the last among them */
    private static function evenly(int $count, int $most = self::MOST): array
    {
        return array_map(
            static fn (int $i): int => (int) round($i * ($count - 1) / ($most - 1)),
            range(0, $most - 1),
        );
    }
}
