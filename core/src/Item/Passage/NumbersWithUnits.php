<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

use ChalkLadder\Core\Formula\Unit;

/** A number with its unit, or a time of day, left out: what belongs there? Others of the passage are wrong answers worth knowing. */
final class NumbersWithUnits implements Proposes
{
    private const NUMBER = '/(?<![\p{L}\d.,:])(\d{1,6}(?:\.\d{1,4})?)(?:\s?(%|°C|°F|°)|\s(\p{L}{1,12}))(?![\p{L}\d])/u';
    private const TIME = '/(?<![\p{L}\d.,:])([01]?\d|2[0-3]):[0-5]\d(?![\d:])/u';
    private const GAP = '____';
    private const ELSEWHERE = 'That stands in the passage too, and belongs elsewhere.';

    public function from(Passage $passage): array
    {
        $found = $times = [];
        foreach ($passage->sentences as $i => $sentence) {
            preg_match_all(self::NUMBER, $sentence->text, $numbers, PREG_SET_ORDER);
            foreach ($numbers as $number) {
                $unit = Unit::named(mb_strtolower(($number[2] ?? '') !== '' ? $number[2] : ($number[3] ?? '')));
                if ($unit !== null) {
                    $found[$unit->symbol][] = [$i, $number[1]];
                }
            }
            preg_match_all(self::TIME, $sentence->text, $clock);
            foreach ($clock[0] as $time) {
                $times[] = [$i, $time];
            }
        }
        $candidates = [];
        foreach ($found as $unit => $numbers) {
            $values = array_values(array_unique(array_column($numbers, 1)));
            foreach ($numbers as [$i, $value]) {
                $others = array_filter($values, static fn (string $v): bool => (float) $v !== (float) $value);
                $candidates[] = [$i, self::asked($passage->sentences[$i], $value, 'Which number belongs in the gap?', 'number', [
                    'targets' => array_map(static fn (string $v): array => [
                        'value' => $v, 'credit' => $v === $value ? '1' : '0', 'feedback' => $v === $value ? '' : self::ELSEWHERE,
                    ], [$value, ...array_slice(array_values($others), 0, 3)]),
                    'unit' => $unit,
                    'unitUse' => 'optional',
                ])];
            }
        }
        $values = array_values(array_unique(array_column($times, 1)));
        foreach ($times as [$i, $value]) {
            $others = array_slice(array_values(array_diff($values, [$value])), 0, 3);
            // 5:20 is the same time as 05:20.
            $same = array_values(array_unique([$value, (string) preg_replace('/^0/', '', $value)]));
            $candidates[] = [$i, self::asked($passage->sentences[$i], $value, 'Which time belongs in the gap?', 'text', ['forms' => array_map(static fn (string $v): array => [
                'text' => $v, 'credit' => in_array($v, $same, true) ? '1' : '0', 'feedback' => in_array($v, $same, true) ? '' : self::ELSEWHERE,
            ], [...$same, ...$others])])];
        }
        usort($candidates, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_values(array_filter(array_column($candidates, 1)));
    }

    /** @param array<string, mixed> $rule */
    private static function asked(Sentence $sentence, string $value, string $asked, string $type, array $rule): ?Candidate
    {
        $quoted = $sentence->with($value, self::GAP);

        return $quoted === null || $sentence->words() < 4 ? null : Candidate::of(
            'a number with its unit, left out',
            $sentence,
            $type,
            $asked,
            $quoted,
            $rule,
        );
    }
}
