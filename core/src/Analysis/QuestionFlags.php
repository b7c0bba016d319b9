<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * What a teacher should look at in a question. How often each flag finds what it looks for, and how often it speaks without
 * cause, is measured on simulated classes: `docs/measurement.md`, made by `bin/bench flags`.
 */
final class QuestionFlags
{
    /** A rival that takes more than this share of those who do well, among key and rival, competes with the key. */
    private const RIVAL_SHARE = 0.3;
    /** How probable that must be: in a small class, and in a large one. Between the two sizes it rises evenly. */
    private const SURE = [50 => 0.88, 84 => 0.94];
    /** A right key goes with doing well elsewhere; so does the option that should have been it. */
    private const GOES_WITH = 0.1;

    /**
     * @param list<OptionReport> $options
     * @param int                $n       answers that count
     * @param list<float>        $seconds
     *
     * @return list<Flag>
     */
    public static function of(
        array $options,
        Figure $facility,
        Figure $itemRest,
        int $n,
        int $notReached,
        int $waiting,
        array $seconds,
    ): array {
        if ($n > 0 && $n < Figure::FEW) {
            return [new Flag(Flag::FEW, sprintf('Only %d answers count: too few to judge the question by.', $n))];
        }
        $asked = $n + $waiting + $notReached;

        return array_values(array_filter([
            self::misKeyed($options, $n),
            self::twoReadings($options, $n),
            self::separation($itemRest, $n),
            self::extreme($facility, $n),
            self::idle($options),
            Speed::flag($seconds),
            $notReached > 0 && $notReached >= 0.1 * $asked
                ? new Flag(Flag::NOT_REACHED, sprintf('%d of %d did not come this far.', $notReached, $asked))
                : null,
        ]));
    }

    /**
     * A distractor taken more than the key by those who do best, which goes with doing well while the key does not.
     *
     * @param list<OptionReport> $options
     */
    private static function misKeyed(array $options, int $n): ?Flag
    {
        [$key, $rival] = self::keyAndRival($options, static fn (OptionReport $o): float => (float) $o->upperCount);

        return $key === null || $rival === null || $rival->upperCount <= $key->upperCount
            || ($rival->rest ?? 0.0) <= self::GOES_WITH || ($key->rest ?? 0.0) >= self::GOES_WITH ? null : new Flag(
                Flag::MIS_KEYED,
                sprintf(
                    'In the upper third, %d took this option and %d took the key. Taking it goes with doing well elsewhere (r = %.2f), taking the key does not (r = %.2f, n = %d).',
                    $rival->upperCount,
                    $key->upperCount,
                    $rival->rest,
                    $key->rest,
                    $n,
                ),
                $rival->id,
            );
    }

    /**
     * A distractor that takes a good part of those who do well: with r of them on the rival and k on the key, the share of the rival
     * has the posterior Beta(1 + r, 1 + k).
     *
     * @param list<OptionReport> $options
     */
    private static function twoReadings(array $options, int $n): ?Flag
    {
        [$key, $rival] = self::keyAndRival($options, static fn (OptionReport $o): float => $o->upperHalf);
        if ($key === null || $rival === null) {
            return null;
        }
        $above = static fn (float $share): float => 1.0 - Curves::betaCdf($share, 1.0 + $rival->upperHalf, 1.0 + $key->upperHalf);
        $sure = $above(self::RIVAL_SHARE);

        // Where hardly anybody takes the key there is one reading, and it is not the key's.
        return $sure <= self::sureAt($n) || $above(1.0 - self::RIVAL_SHARE) > self::sureAt($n) ? null : new Flag(
            Flag::TWO_READINGS,
            sprintf(
                'In the upper half, %s took the key and %s took this option: that it draws more than %d %% of the two is %d %% probable (Beta(1, 1) prior, n = %d).',
                self::people($key->upperHalf),
                self::people($rival->upperHalf),
                (int) round(100 * self::RIVAL_SHARE),
                (int) floor(100 * $sure),
                $n,
            ),
            $rival->id,
        );
    }

    private static function sureAt(int $n): float
    {
        [$small, $large] = array_keys(self::SURE);
        $along = min(1.0, max(0.0, ($n - $small) / ($large - $small)));

        return self::SURE[$small] + $along * (self::SURE[$large] - self::SURE[$small]);
    }

    /**
     * @param list<OptionReport>             $options
     * @param \Closure(OptionReport): float $by
     *
     * @return array{OptionReport|null, OptionReport|null} the only key, and the distractor taken most
     */
    private static function keyAndRival(array $options, \Closure $by): array
    {
        $keys = array_values(array_filter($options, static fn (OptionReport $o): bool => $o->key));
        $rivals = array_values(array_filter($options, static fn (OptionReport $o): bool => !$o->key));
        usort($rivals, static fn (OptionReport $a, OptionReport $b): int => $by($b) <=> $by($a));

        return count($keys) === 1 ? [$keys[0], $rivals[0] ?? null] : [null, null];
    }

    private static function separation(Figure $itemRest, int $n): ?Flag
    {
        if ($itemRest->value === null || $itemRest->high === null) {
            return null;
        }
        if ($itemRest->high < 0.0) {
            return new Flag(
                Flag::BACKWARDS,
                sprintf('Students who do well elsewhere do worse here (r = %.2f, n = %d).', $itemRest->value, $n),
            );
        }

        return $itemRest->value < 0.1 && $itemRest->high < 0.3 ? new Flag(
            Flag::DOES_NOT_SEPARATE,
            sprintf(
                'Who does well elsewhere does hardly better here (r = %.2f, at most %.2f, n = %d).',
                $itemRest->value,
                $itemRest->high,
                $n,
            ),
        ) : null;
    }

    private static function extreme(Figure $facility, int $n): ?Flag
    {
        return match (true) {
            $facility->low !== null && $facility->low > 0.95 => new Flag(
                Flag::TOO_EASY,
                sprintf('Nearly all are right (%.2f of %d), so it tells nobody apart.', $facility->value ?? 1.0, $n),
            ),
            $facility->high !== null && $facility->high < 0.05 => new Flag(
                Flag::TOO_HARD,
                sprintf('Nearly nobody is right (%.2f of %d), so it tells nobody apart.', $facility->value ?? 0.0, $n),
            ),
            default => null,
        };
    }

    /** @param list<OptionReport> $options */
    private static function idle(array $options): ?Flag
    {
        $distractors = array_values(array_filter($options, static fn (OptionReport $o): bool => !$o->key));
        foreach ($distractors as $option) {
            if (Distractor::isIdle($option->count, $option->wrong, count($distractors))) {
                return new Flag(
                    Flag::IDLE,
                    sprintf(
                        '%d of %d wrong answers are this option: less than half of a fair share among %d distractors.',
                        $option->count,
                        $option->wrong,
                        count($distractors),
                    ),
                    $option->id,
                );
            }
        }

        return null;
    }

    /** Who ties at the edge of the upper half stands in it in part. */
    private static function people(float $count): string
    {
        return (abs($count - round($count)) < 1e-9 ? '' : 'about ').round($count);
    }
}
