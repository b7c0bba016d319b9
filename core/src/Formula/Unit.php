<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * A unit of measure: its dimension, and how many base units it holds, exactly. Base units: m, kg, s, ° (angle), K; each
 * currency is a dimension of its own, so that nothing converts between them.
 *
 * Factors: SI Brochure, 9th edition (2019), tables 7 and 8; the nautical mile is 1852 m, the knot one of it an hour, the
 * international foot 0.3048 m, the mile 5280 ft, the fathom 6 ft. Celsius and Fahrenheit have a zero point of their own.
 */
final readonly class Unit
{
    private const LONGEST = 60;
    /** symbol => [dimension, factor, zero point in base units] */
    private const ATOMS = [
        'm' => ['m', '1'], 'g' => ['kg', '1/1000'], 's' => ['s', '1'], '°' => ['°', '1'], 'K' => ['K', '1'],
        't' => ['kg', '1000'], 'min' => ['s', '60'], 'h' => ['s', '3600'], 'd' => ['s', '86400'],
        'nmi' => ['m', '1852'], 'ft' => ['m', '381/1250'], 'in' => ['m', '127/5000'], 'yd' => ['m', '1143/1250'],
        'mi' => ['m', '201168/125'], 'fathom' => ['m', '1143/625'],
        'l' => ['m3', '1/1000'], 'ha' => ['m2', '10000'], 'kn' => ['m s-1', '463/900'],
        '°C' => ['K', '1', '5463/20'], '°F' => ['K', '5/9', '45967/180'],
        '£' => ['£', '1'], '€' => ['€', '1'], '$' => ['$', '1'], 'p' => ['£', '1/100'], '¢' => ['$', '1/100'],
        'arcmin' => ['°', '1/60'], 'arcsec' => ['°', '1/3600'],
    ];
    private const PREFIXES = [
        'k' => '1000',
        'c' => '1/100',
        'd' => '1/10',
        'm' => '1/1000',
        'µ' => '1/1000000',
        'h' => '100',
        'M' => '1000000',
    ];
    private const PREFIXED = ['m', 'g', 's', 'l'];

    /** What students write instead of the symbol. */
    private const ALIASES = [
        'metre' => 'm', 'metres' => 'm', 'meter' => 'm', 'meters' => 'm', 'centimetre' => 'cm', 'centimetres' => 'cm',
        'centimeter' => 'cm', 'centimeters' => 'cm',
        'millimetre' => 'mm', 'millimetres' => 'mm', 'kilometre' => 'km', 'kilometres' => 'km', 'kilometer' => 'km',
        'kilometers' => 'km', 'kms' => 'km',
        'nautical mile' => 'nmi', 'nautical miles' => 'nmi', 'nm' => 'nmi', 'foot' => 'ft', 'feet' => 'ft', 'inch' => 'in',
        'inches' => 'in', 'yard' => 'yd', 'yards' => 'yd',
        'mile' => 'mi', 'miles' => 'mi', 'fathoms' => 'fathom',
        'gram' => 'g', 'grams' => 'g', 'gramme' => 'g', 'grammes' => 'g', 'kilogram' => 'kg', 'kilograms' => 'kg', 'kilo' => 'kg',
        'kilos' => 'kg', 'milligram' => 'mg', 'milligrams' => 'mg', 'tonne' => 't', 'tonnes' => 't',
        'second' => 's', 'seconds' => 's', 'sec' => 's', 'secs' => 's', 'minute' => 'min', 'minutes' => 'min', 'mins' => 'min',
        'hour' => 'h', 'hours' => 'h', 'hr' => 'h', 'hrs' => 'h', 'day' => 'd', 'days' => 'd',
        'deg' => '°', 'degs' => '°', 'degree' => '°', 'degrees' => '°', 'knot' => 'kn', 'knots' => 'kn', 'kt' => 'kn', 'kts' => 'kn', 'mps' => 'm/s',
        'kph' => 'km/h', 'kmh' => 'km/h', 'mph' => 'mi/h',
        'litre' => 'l', 'litres' => 'l', 'liter' => 'l', 'liters' => 'l', 'millilitre' => 'ml', 'millilitres' => 'ml',
        'hectare' => 'ha', 'hectares' => 'ha',
        'degrees celsius' => '°C', 'celsius' => '°C', 'degrees fahrenheit' => '°F', 'fahrenheit' => '°F', 'kelvin' => 'K',
        'deg c' => '°C', 'degc' => '°C', 'degrees c' => '°C', 'degree c' => '°C', '°c' => '°C', 'deg f' => '°F', 'degf' => '°F',
        'degrees f' => '°F', '°f' => '°F', 'centigrade' => '°C', 'degrees centigrade' => '°C', 'degree celsius' => '°C',
        'cc' => 'cm^3', 'ccs' => 'cm^3', 'kmph' => 'km/h', 'kgs' => 'kg', 'gms' => 'g', 'gm' => 'g', 'cms' => 'cm', 'mms' => 'mm', 'mtr' => 'm',
        'mtrs' => 'm', 'ltr' => 'l', 'ltrs' => 'l', 'millimeter' => 'mm', 'millimeters' => 'mm', 'centiliter' => 'cl', 'centilitre' => 'cl',
        'centilitres' => 'cl', 'milliliter' => 'ml', 'milliliters' => 'ml', 'ton' => 't', 'tons' => 't', 'milliseconds' => 'ms',
        'pence' => 'p', 'penny' => 'p', 'pennies' => 'p', 'quid' => '£', 'gbp' => '£', 'eur' => '€', 'usd' => '$', 'sqm' => 'm^2',
        'pounds' => '£', 'pound' => '£', 'euro' => '€', 'euros' => '€', 'dollar' => '$', 'dollars' => '$',
    ];

    /**
     * @param array<string, int> $dimension exponents by base, none of them 0, in order of the bases
     * @param BigRational        $zero      where its scale begins, in base units; 0 for all but temperatures
     */
    private function __construct(public string $symbol, public array $dimension, public BigRational $factor, public BigRational $zero)
    {
    }

    public static function named(string $text): ?self
    {
        /** @var array<string, self|null> $known units are few and read again and again */
        static $known = [];
        if (strlen($text) > self::LONGEST) {
            return null;
        }
        if (count($known) > 500) {
            $known = [];
        }

        return $known[$text] ??= self::read($text);
    }

    /**
     * The unit that is meant where one is asked for: `degrees` are of the scale that is asked for, `ms^-1` is a speed where a speed is.
     * Null when nothing that it may mean measures the same.
     */
    public static function meant(string $text, self $asked): ?self
    {
        foreach (self::readings($text, $asked) as $unit) {
            if ($unit?->measuresSameAs($asked) === true) {
                return $unit;
            }
        }

        return null;
    }

    /** @return iterable<self|null> */
    private static function readings(string $text, self $asked): iterable
    {
        yield self::named($text);
        $low = mb_strtolower(trim($text));
        if ($asked->symbol === '°C' || $asked->symbol === '°F') {
            if (in_array($low, ['°', 'deg', 'degree', 'degrees'], true)) {
                yield $asked;
            }
            if ($low === mb_strtolower(mb_substr($asked->symbol, 1))) {
                yield $asked;
            }
        }
        if (in_array($low, ['c', 'ct', 'cent', 'cents'], true) && in_array($asked->symbol, ['€', '$'], true)) {
            yield new self('cent', $asked->dimension, $asked->factor->dividedBy(100)->simplified(), BigRational::zero());
        }
        $stroke = ["'" => ['ft', 'arcmin'], '"' => ['in', 'arcsec']][$low] ?? [];
        foreach ($stroke as $name) {
            yield self::named($name);
        }
        // Written without a space, as in ms^-1: the power belongs to the last of two units.
        if (preg_match('/^(\p{L}{2,5}?)(\^?-\d)$/Du', trim(strtr($text, ['−' => '-'])), $m) === 1) {
            for ($i = 1; $i < mb_strlen($m[1]); ++$i) {
                yield self::named(mb_substr($m[1], 0, $i).' '.mb_substr($m[1], $i).$m[2]);
            }
        }
    }

    private static function read(string $text): ?self
    {
        $text = trim(strtr(Unicode::compatible($text), ['μ' => 'µ', '⋅' => '·', '∙' => '·', '*' => '·', '−' => '-', "\u{00A0}" => ' ']));
        $text = (string) preg_replace(['/(?<=\p{L})\.(?=$| |\/)/u', '/(?<=\p{L})\.(?=\p{L})/u'], ['', ' '], strtr($text, ['º' => '°', '˚' => '°', '° ' => '°']));
        $low = mb_strtolower($text);

        return self::whole($text) ?? self::whole($low) ?? self::whole(self::powersInWords($low));
    }

    /** `sq m`, `metres squared`, `cubic metres`, `cm cubed`. */
    private static function powersInWords(string $text): string
    {
        return (string) preg_replace(
            [
                '/\bccs?\b/', '/\bsqm\b/', '/\b(?:squared? |sq(?!u) ?)(\p{L}+)/u', '/\b(?:cubic |cu(?!b) ?)(\p{L}+)/u', '/(\p{L}+) ?(?:squared?|sq)\b/u', '/(\p{L}+) ?cubed\b/u',
                '/\bper (\p{L}+)\^(\d)/u',
            ],
            ['cm^3', 'm^2', '$1^2', '$1^3', '$1^2', '$1^3', '/$1^$2'],
            $text,
        );
    }

    private static function whole(string $text): ?self
    {
        $text = self::ALIASES[$text] ?? $text;
        $text = (string) preg_replace('/\s*\bper\b\s*/', '/', $text);
        $parts = [];
        foreach (self::split('#(?=/)#', $text) as $i => $piece) {
            $below = str_starts_with($piece, '/');
            $piece = trim(ltrim($piece, '/'));
            if ($piece === '' || ($i === 0 && $below)) {
                return null;
            }
            foreach (self::split('/[\s·]+/u', $piece) as $j => $factor) {
                if (preg_match('/^(\D+?)(?:\^?(-?\d))?$/Du', $factor, $m) !== 1) {
                    return null;
                }
                $symbol = self::ALIASES[$m[1]] ?? $m[1];
                $atom = self::atom($symbol);
                if ($atom === null) {
                    return null;
                }
                $parts[] = [$symbol, $atom, (int) ($m[2] ?? '1') * ($below ? -1 : 1)];
            }
        }

        return count($parts) === 1 && $parts[0][2] === 1 ? $parts[0][1] : self::compound($parts);
    }

    /** @return list<string> */
    private static function split(string $pattern, string $text): array
    {
        $parts = preg_split($pattern, $text);

        return $parts === false ? [] : $parts;
    }

    /** @param list<array{string, self, int}> $parts */
    private static function compound(array $parts): ?self
    {
        $dimension = [];
        $factor = BigRational::one();
        $above = $below = [];
        foreach ($parts as [$symbol, $atom, $power]) {
            // A scale with a zero point of its own is no factor of anything.
            if (!$atom->zero->isZero() || $power === 0) {
                return null;
            }
            foreach ($atom->dimension as $base => $exponent) {
                $dimension[$base] = ($dimension[$base] ?? 0) + $exponent * $power;
            }
            $factor = $factor->multipliedBy(self::power($atom->factor, $power));
            $power > 0 ? $above[] = self::raised($symbol, $power) : $below[] = self::raised($symbol, -$power);
        }

        return new self(
            ($above === [] ? '1' : implode('·', $above)).($below === [] ? '' : '/'.implode('/', $below)),
            self::tidy($dimension),
            $factor->simplified(),
            BigRational::zero(),
        );
    }

    private static function atom(string $symbol): ?self
    {
        if (isset(self::ATOMS[$symbol])) {
            [$dimension, $factor] = self::ATOMS[$symbol];

            return new self($symbol, self::dimension($dimension), BigRational::of($factor), BigRational::of(self::ATOMS[$symbol][2] ?? 0));
        }
        $prefix = mb_substr($symbol, 0, 1);
        $rest = mb_substr($symbol, 1);
        if (!isset(self::PREFIXES[$prefix]) || !in_array($rest, self::PREFIXED, true)) {
            return null;
        }
        [$dimension, $factor] = self::ATOMS[$rest];

        return new self(
            $symbol,
            self::dimension($dimension),
            BigRational::of($factor)->multipliedBy(self::PREFIXES[$prefix])->simplified(),
            BigRational::zero(),
        );
    }

    /** @return array<string, int> */
    private static function dimension(string $text): array
    {
        $dimension = [];
        foreach (explode(' ', $text) as $part) {
            preg_match('/^(\D+?)(-?\d)?$/Du', $part, $m);
            $dimension[$m[1] ?? ''] = (int) ($m[2] ?? '1');
        }

        return $dimension;
    }

    /**
     * @param array<string, int> $dimension
     *
     * @return array<string, int>
     */
    private static function tidy(array $dimension): array
    {
        $dimension = array_filter($dimension, static fn (int $e): bool => $e !== 0);
        ksort($dimension);

        return $dimension;
    }

    private static function power(BigRational $factor, int $power): BigRational
    {
        return $power >= 0 ? $factor->power($power) : $factor->reciprocal()->power(-$power);
    }

    private static function raised(string $symbol, int $power): string
    {
        return $power === 1 ? $symbol : $symbol.strtr(
            (string) $power,
            [
                '-' => '⁻',
                '0' => '⁰',
                '1' => '¹',
                '2' => '²',
                '3' => '³',
                '4' => '⁴',
                '5' => '⁵',
                '6' => '⁶',
                '7' => '⁷',
                '8' => '⁸',
                '9' => '⁹',
            ],
        );
    }

    /** @return list<string> the units that a question may ask for, the common ones */
    public static function symbols(): array
    {
        return [
            'mm',
            'cm',
            'm',
            'km',
            'nmi',
            'ft',
            'in',
            'mi',
            'mg',
            'g',
            'kg',
            't',
            's',
            'min',
            'h',
            'd',
            '°',
            'm/s',
            'km/h',
            'kn',
            'm/s²',
            'cm²',
            'm²',
            'km²',
            'ha',
            'cm³',
            'ml',
            'l',
            'm³',
            'g/cm³',
            'kg/m³',
            '°C',
            '°F',
            'K',
            '£',
            '€',
            '$',
        ];
    }

    public function measuresSameAs(self $other): bool
    {
        return self::tidy($this->dimension) === self::tidy($other->dimension);
    }

    /** The same quantity counted in another unit of the same kind. */
    public function convert(BigRational $value, self $to): BigRational
    {
        if (!$this->measuresSameAs($to)) {
            throw new \DomainException(sprintf('%s and %s do not measure the same thing.', $this->symbol, $to->symbol));
        }

        return $value->multipliedBy($this->factor)->plus($this->zero)->minus($to->zero)->dividedBy($to->factor)->simplified();
    }

    /** The unit of a product (`$sign` 1) or quotient (−1); null when nothing is left of it. */
    public function times(self $other, int $sign): ?self
    {
        $dimension = $this->dimension;
        foreach ($other->dimension as $base => $exponent) {
            $dimension[$base] = ($dimension[$base] ?? 0) + $sign * $exponent;
        }

        return self::ofDimension(
            self::tidy($dimension),
            $this->factor->multipliedBy(self::power($other->factor, $sign))->simplified(),
            $this->symbol.($sign > 0 ? '·' : '/').$other->symbol,
        );
    }

    public function inverse(): self
    {
        return new self(
            '1/'.$this->symbol,
            array_map(static fn (int $e): int => -$e, $this->dimension),
            $this->factor->reciprocal(),
            BigRational::zero(),
        );
    }

    /** @param array<string, int> $dimension */
    private static function ofDimension(array $dimension, BigRational $factor, string $symbol): ?self
    {
        return $dimension === [] && $factor->isEqualTo(1) ? null : new self($symbol, $dimension, $factor, BigRational::zero());
    }
}
