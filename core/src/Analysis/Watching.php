<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use ChalkLadder\Core\Sitting\Played;

/**
 * What of a sound or a film was played, and what was played again. A student's devices are counted together; one who played nothing
 * counts as such.
 */
final readonly class Watching
{
    /** Whoever played so much of it has played it through: the last seconds are often left out. */
    private const THROUGH = 0.9;
    /** A part is played again that is played so often by those who play it at all, */
    private const AGAIN = 1.5;
    /** and by so much more than the parts are on the whole. */
    private const MORE = 1.25;
    private const MOST_STRETCHES = 3;
    private const FORMULA = 'Students who played at least nine tenths of it, as a share of all; 95 % Wilson interval. A part of it was played when the playing passed its middle.';

    /**
     * @param float                                            $seconds  how long the whole lasts
     * @param int                                              $part     seconds of a part
     * @param list<float>                                      $shares   of the students, who played each part
     * @param list<float>                                      $times    how often each part was played, by those who played it
     * @param Figure                                           $through  share of the students who played it through
     * @param list<array{from: float, to: float, times: float}> $again    stretches that were played again most, in the order of the whole
     * @param array<array-key, array{share: float, times: float, until: float}> $students how much of it each played, how many times the
     *                                                                                whole, and up to which second
     */
    private function __construct(
        public float $seconds,
        public int $part,
        public array $shares,
        public array $times,
        public Figure $through,
        public array $again,
        public array $students,
    ) {
    }

    /**
     * @param array<array-key, list<Played>> $byStudent what was played on each student's devices; an empty list for one who played nothing
     *
     * @return self|null nothing when nobody played anything
     */
    public static function of(array $byStudent): ?self
    {
        $millis = max([0, ...array_map(static fn (Played $p): int => $p->millis, array_merge([], ...array_values($byStudent)))]);
        if ($millis === 0) {
            return null;
        }
        $seconds = $millis / 1000;
        $part = Played::secondsOf($millis);
        $bounds = array_map(
            static fn (int $i): array => [(float) ($i * $part), min($seconds, ($i + 1.0) * $part)],
            range(0, (int) ceil($seconds / $part) - 1),
        );
        $played = array_map(static fn (array $devices): array => array_map(
            static fn (array $b): int => array_sum(array_map(static fn (Played $p): int => $p->at(($b[0] + $b[1]) / 2), $devices)),
            $bounds,
        ), $byStudent);
        $students = array_map(static fn (array $times): array => self::student($times, $bounds, $seconds), $played);
        $n = count($students);
        $shares = $means = [];
        foreach (array_keys($bounds) as $i) {
            $here = array_filter(array_column($played, $i), static fn (int $times): bool => $times > 0);
            $shares[] = count($here) / $n;
            $means[] = $here === [] ? 0.0 : array_sum($here) / count($here);
        }

        return new self($seconds, $part, $shares, $means, self::through($students), self::again($means, $bounds), $students);
    }

    /** Who played it through, where nothing was played. */
    public static function none(int $students): Figure
    {
        return Figure::missing($students, self::FORMULA, 'Nobody has played any of it.');
    }

    /** @param array<array-key, array{share: float, ...}> $students */
    private static function through(array $students): Figure
    {
        $n = count($students);
        $done = count(array_filter($students, static fn (array $s): bool => $s['share'] >= self::THROUGH));
        $interval = Intervals::wilson((float) $done, $n);

        return new Figure(
            $done / $n,
            $n,
            self::FORMULA,
            $interval[0],
            $interval[1],
            Figure::few($n),
        );
    }

    /**
     * @param list<int>                $times  part by part
     * @param list<array{float, float}> $bounds of the parts, in seconds
     *
     * @return array{share: float, times: float, until: float}
     */
    private static function student(array $times, array $bounds, float $seconds): array
    {
        $share = $whole = $until = 0.0;
        foreach ($bounds as $i => [$from, $to]) {
            $share += $times[$i] > 0 ? ($to - $from) / $seconds : 0.0;
            $whole += $times[$i] * ($to - $from) / $seconds;
            $until = $times[$i] > 0 ? $to : $until;
        }

        return ['share' => min(1.0, $share), 'times' => $whole, 'until' => $until];
    }

    /**
     * @param list<float>              $means
     * @param list<array{float, float}> $bounds
     *
     * @return list<array{from: float, to: float, times: float}>
     */
    private static function again(array $means, array $bounds): array
    {
        $least = max(self::AGAIN, self::MORE * array_sum($means) / count($means));
        $stretches = [];
        $open = [];
        foreach ([...$means, 0.0] as $i => $mean) {
            if ($mean >= $least) {
                $open[] = $i;
            } elseif ($open !== []) {
                $stretches[] = [
                    'from' => $bounds[$open[0]][0],
                    'to' => $bounds[$open[count($open) - 1]][1],
                    'times' => array_sum(array_intersect_key($means, array_flip($open))) / count($open),
                ];
                $open = [];
            }
        }
        usort($stretches, static fn (array $a, array $b): int => $b['times'] <=> $a['times']);
        $most = array_slice($stretches, 0, self::MOST_STRETCHES);
        usort($most, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);

        return $most;
    }
}
