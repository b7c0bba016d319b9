<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Number;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Unit;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/**
 * Numbers: `= 3.65 ± 0.05 m`, `= 3 to 5 m`, `= 7/2`, `= 3.1 to 2 figures`, `= 1.25 to 1 decimals`, `x = {h - l} m # …`. The unit
 * of the first line is the one that is asked for.
 */
final class NumberNotes implements Notes
{
    private const SHAPE = '~^(?<value>\{[^{}]+\}|[-−]?\d(?:[\d ]*\d)?(?:[.,]\d+|/[1-9]\d*)?)
        (?:\s+to\s+(?<places>\d{1,2})\s+(?<kind>figures|decimals)
        |\s+to\s+(?<end>\{[^{}]+\}|[-−]?\d(?:[\d ]*\d)?(?:[.,]\d+|/[1-9]\d*)?)
        |\s*(?:±|\+-)\s*(?<within>\d+(?:[.,]\d+|/[1-9]\d*)?)(?<share>\s*%)?)?
        \s*(?<unit>(?:%|°|\p{L}|[€£$]).{0,19})?$~uxD';

    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '=') && array_filter($lines, static fn (NoteLine $l): bool => self::read($l->text) === null) === [];
    }

    public function rule(array $lines, Names $names): array
    {
        $unit = null;
        $targets = [];
        foreach ($lines as $line) {
            $read = self::read($line->text) ?? throw new NoteFault(
                'This is no number as it can be noted here. Write 3.65, 7/2, 3.65 ± 0.05, 3 to 5 or {h - l}, and its unit behind it.',
                $line->at,
            );
            $unit ??= $read['unit'];
            if ($read['unit'] !== '' && $read['unit'] !== $unit) {
                throw new NoteFault("The lines above count in “{$unit}”. Write this one in it, too.", $line->at);
            }
            unset($read['unit']);
            $targets[] = $read + Parts::given($line);
        }

        return ['targets' => $targets, 'unit' => $unit ?? '', 'unitUse' => ($unit ?? '') === '' ? 'none' : 'optional'];
    }

    public function lines(array $rule, Names $names): ?array
    {
        $unit = Parts::text($rule, 'unit');

        return Parts::each($rule, 'targets', static function (array $target) use ($unit, $names): ?string {
            $said = self::said($target, $unit);

            return $said === null ? null : NoteLine::write($target, '=', $said, $names);
        });
    }

    public function renamed(array $rule): array
    {
        return $rule;
    }

    /** @return array{value: string, tolerance: string|int, kind: string, unit: string}|null */
    private static function read(string $text): ?array
    {
        if (preg_match(self::SHAPE, $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        $value = self::plain($m['value']);
        $unit = trim($m['unit'] ?? '');
        [$kind, $tolerance] = match (true) {
            isset($m['places']) => [$m['kind'] ?? '', (int) $m['places']],
            isset($m['end']) => ['range', self::wide($value, self::plain($m['end']))],
            isset($m['share'], $m['within']) => ['relative', (string) BigRational::of(self::plain($m['within']))->dividedBy(100)->simplified()],
            isset($m['within']) => ['absolute', self::plain($m['within'])],
            default => ['absolute', '0'],
        };

        return $tolerance === null || ($unit !== '' && Unit::named($unit) === null)
            ? null
            : ['value' => $value, 'tolerance' => $tolerance, 'kind' => $kind, 'unit' => $unit];
    }

    /** How wide a range is; null where it has no such ends. */
    private static function wide(string $from, string $to): ?string
    {
        if (str_starts_with($from, '=') || str_starts_with($to, '=')) {
            return null;
        }
        $wide = BigRational::of($to)->minus($from);

        return $wide->isNegative() ? null : (string) $wide->simplified();
    }

    private static function plain(string $number): string
    {
        return str_starts_with($number, '{')
            ? '= '.trim(substr($number, 1, -1))
            : (string) BigRational::of(str_replace([' ', '−', ','], ['', '-', '.'], $number))->simplified();
    }

    /** @param array<array-key, mixed> $target */
    private static function said(array $target, string $unit): ?string
    {
        $tolerance = $target['tolerance'] ?? '0';
        $value = Parts::text($target, 'value');
        $kind = Parts::text($target, 'kind');
        if (isset($target['exact']) || (!is_string($tolerance) && !is_int($tolerance))) {
            return null;
        }
        $number = static fn (string $n): ?string => preg_match('~^-?\d{1,12}(?:\.\d{1,12}|/[1-9]\d{0,11})?$~D', $n) === 1
            ? NumberText::write(BigRational::of($n))
            : null;
        $shown = str_starts_with($value, '=') ? '{'.trim(substr($value, 1)).'}' : $number($value);
        $by = is_int($tolerance) ? (string) $tolerance : $number($tolerance);
        if ($shown === null || $by === null) {
            return null;
        }
        $said = match ($kind) {
            'figures', 'decimals' => "$shown to $by $kind",
            'range' => $shown.' to '.NumberText::write(BigRational::of($value)->plus((string) $tolerance)),
            'relative' => $shown.' ± '.NumberText::write(BigRational::of((string) $tolerance)->multipliedBy(100)).' %',
            default => $by === '0' ? $shown : "$shown ± $by",
        };

        return trim("$said $unit");
    }
}
