<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * A measure in two or three units of falling size: `3 m 50 cm`, `1 h 30 min`, `5 ft 7 in`, `£3 and 50p`, `45° 30'`. The last unit may
 * be left out where custom knows it: `1h30`, `3m50`.
 */
final class CompoundMeasure
{
    private const MOST_PARTS = 3;
    /** What is meant when a number without a unit follows, and how many figures it needs: `3 m 5` may be 3.5 m or 3.05 m. */
    private const NEXT = [
        'm' => ['cm', 2], 'h' => ['min', 1], 'min' => ['s', 1], 'ft' => ['in', 1], 'km' => ['m', 3], 'kg' => ['g', 3], '£' => ['p', 2],
        '°' => ['arcmin', 1], 'l' => ['ml', 3],
    ];

    /** @param string $text plain ({@see AsTyped}), its sign and anything before it taken away */
    public static function read(string $text): ?ReadNumber
    {
        // Feet and inches, degrees and minutes share their strokes; what stands first says which.
        $text = str_contains($text, '°') ? (string) preg_replace(["/(?<=\d) ?'/", '/(?<=\d) ?"/'], [' arcmin ', ' arcsec '], $text)
            : (string) preg_replace(["/(?<=\d) ?(?:''|\")/", "/(?<=\d) ?'/"], [' in ', ' ft '], $text);
        $text = (string) preg_replace('/^(\p{Sc}) ?(\d[\d.]*)/u', '$2 $1', trim($text));
        $total = $first = null;
        $last = '';
        for ($part = 0; $text !== '' && $part < self::MOST_PARTS; ++$part) {
            if (preg_match('/^(\d{1,9}(?:\.\d{1,9})?) ?([\p{L}°\p{Sc}]*)[ ,]*(?:and |& )?(.*)$/Dsu', $text, $m) !== 1) {
                return null;
            }
            $text = $m[3];
            [$name, $figures] = $m[2] === '' ? self::NEXT[$last] ?? ['', 0] : [$m[2], 0];
            $unit = $name === '' || strlen($m[1]) < $figures || ($m[2] === '' && $text !== '') ? null : Unit::named($name);
            if ($unit === null) {
                return null;
            }
            // 1h 30m: beside hours, m is minutes.
            if ($name === 'm' && $first?->dimension === ['s' => 1]) {
                $unit = Unit::named('min') ?? $unit;
            }
            $read = NumberText::read($m[1]);
            if ($read === null) {
                return null;
            }
            if ($first === null) {
                $first = $unit;
                $total = $read->value;
            } else {
                if (!$unit->measuresSameAs($first) || !$unit->zero->isZero()) {
                    return null;
                }
                $share = $unit->convert($read->value, $first);
                // 1 h 90 min is no way to write two and a half hours.
                $limit = Unit::named($last)?->convert(BigRational::one(), $first);
                if ($limit === null || $share->isGreaterThanOrEqualTo($limit)) {
                    return null;
                }
                $total = $total?->plus($share);
            }
            $last = $unit->symbol;
        }

        return $first === null || $total === null || $part < 2 || $text !== '' ? null
            : new ReadNumber($total->simplified(), $first->symbol, 'compound', 0);
    }
}
