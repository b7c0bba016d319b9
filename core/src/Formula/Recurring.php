<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * Decimals that go on for ever, as they are written: dots or a line over the figures that recur (`0.3̇`, `0.1̇42857̇`, `0.16̅`), brackets
 * around them (`0.1(6)`), three dots after what shows the pattern (`0.333…`, `0.1666...`), or the word (`0.3 recurring`).
 */
final class Recurring
{
    private const MOST_DIGITS = 40;

    /** @return array{BigRational, string}|null the exact value without its sign, and what follows it */
    public static function read(string $text): ?array
    {
        // Each mark stands behind its figure; what recurs goes from the first marked figure to the last.
        if (preg_match('/^(\d*)\.(\d*)((?:\d[\x{0307}\x{0305}]\d*)*\d[\x{0307}\x{0305}])(?!\d)(.*)$/Dsu', $text, $m) === 1) {
            return self::value($m[1], $m[2], (string) preg_replace('/\D/u', '', $m[3]), $m[4]);
        }
        if (preg_match('/^(\d*)\.(\d*)\((\d+)\)(.*)$/Dsu', $text, $m) === 1) {
            return self::value($m[1], $m[2], $m[3], $m[4]);
        }
        if (preg_match('/^(\d*)\.(\d+) ?(?:recurring|recur|rec|repeating)\b\.?(.*)$/Dsui', $text, $m) === 1) {
            return self::value($m[1], substr($m[2], 0, -1), substr($m[2], -1), $m[3]);
        }
        if (preg_match('/^(\d*)\.(\d+) ?(?:\.{2,}|…)(.*)$/Dsu', $text, $m) === 1) {
            $digits = $m[2];
            for ($size = 1; $size <= intdiv(strlen($digits), 2); ++$size) {
                $block = substr($digits, -$size);
                if (str_ends_with($digits, $block.$block)) {
                    return self::value($m[1], substr($digits, 0, -$size), $block, $m[3]);
                }
            }

            return strlen($digits) === 1 ? self::value($m[1], '', $digits, $m[3]) : null;
        }

        return null;
    }

    /** @return array{BigRational, string}|null */
    private static function value(string $whole, string $fixed, string $block, string $rest): ?array
    {
        if ($block === '' || strlen($whole.$fixed.$block) > self::MOST_DIGITS) {
            return null;
        }
        $shift = BigRational::of(10)->power(strlen($fixed));
        $nines = BigRational::of(10)->power(strlen($block))->minus(1);
        $start = BigRational::of(($whole === '' ? '0' : $whole).$fixed)->dividedBy($shift);

        return [$start->plus(BigRational::of($block)->dividedBy($nines)->dividedBy($shift))->simplified(), $rest];
    }
}
