<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * A unit of measure: what it measures and how many base units it holds, exactly.
 *
 * Factors: SI Brochure, 9th edition (2019), tables 7 and 8; the nautical mile is 1852 m and the knot one of it an hour.
 */
final readonly class Unit
{
    /** symbol => [kind, factor as an exact fraction of the kind's base unit] */
    private const TABLE = [
        'mm' => ['length', '1/1000'], 'cm' => ['length', '1/100'], 'm' => ['length', '1'], 'km' => ['length', '1000'],
        'nmi' => ['length', '1852'],
        'mg' => ['mass', '1/1000000'], 'g' => ['mass', '1/1000'], 'kg' => ['mass', '1'], 't' => ['mass', '1000'],
        's' => ['time', '1'], 'min' => ['time', '60'], 'h' => ['time', '3600'], 'd' => ['time', '86400'],
        '°' => ['angle', '1'],
        'm/s' => ['speed', '1'], 'km/h' => ['speed', '5/18'], 'kn' => ['speed', '463/900'],
        'cm²' => ['area', '1/10000'], 'm²' => ['area', '1'], 'km²' => ['area', '1000000'],
        'ml' => ['volume', '1/1000000'], 'l' => ['volume', '1/1000'], 'm³' => ['volume', '1'],
    ];

    /** What students write instead of the symbol. */
    private const ALIASES = [
        'metre' => 'm', 'metres' => 'm', 'meter' => 'm', 'meters' => 'm', 'centimetre' => 'cm', 'centimetres' => 'cm',
        'millimetre' => 'mm', 'millimetres' => 'mm', 'kilometre' => 'km', 'kilometres' => 'km', 'kms' => 'km',
        'nautical mile' => 'nmi', 'nautical miles' => 'nmi', 'nm' => 'nmi',
        'gram' => 'g', 'grams' => 'g', 'kilogram' => 'kg', 'kilograms' => 'kg', 'tonne' => 't', 'tonnes' => 't',
        'second' => 's', 'seconds' => 's', 'sec' => 's', 'minute' => 'min', 'minutes' => 'min', 'mins' => 'min',
        'hour' => 'h', 'hours' => 'h', 'hr' => 'h', 'hrs' => 'h', 'day' => 'd', 'days' => 'd',
        'deg' => '°', 'degree' => '°', 'degrees' => '°', 'knot' => 'kn', 'knots' => 'kn', 'kt' => 'kn', 'kts' => 'kn',
        'mps' => 'm/s', 'kph' => 'km/h', 'm2' => 'm²', 'm^2' => 'm²', 'cm2' => 'cm²', 'cm^2' => 'cm²', 'km2' => 'km²',
        'km^2' => 'km²', 'm3' => 'm³', 'm^3' => 'm³', 'litre' => 'l', 'litres' => 'l',
    ];

    private function __construct(public string $symbol, public string $kind, public BigRational $factor)
    {
    }

    public static function named(string $text): ?self
    {
        $text = trim($text);
        $symbol = isset(self::TABLE[$text]) ? $text : (self::ALIASES[$text] ?? self::ALIASES[mb_strtolower($text)] ?? mb_strtolower($text));
        $row = self::TABLE[$symbol] ?? null;

        return $row === null ? null : new self($symbol, $row[0], BigRational::of($row[1]));
    }

    /** @return list<string> */
    public static function symbols(): array
    {
        return array_keys(self::TABLE);
    }

    public function measuresSameAs(self $other): bool
    {
        return $this->kind === $other->kind;
    }

    /** The same quantity counted in another unit of the same kind. */
    public function convert(BigRational $value, self $to): BigRational
    {
        if (!$this->measuresSameAs($to)) {
            throw new \DomainException(sprintf('%s and %s do not measure the same thing.', $this->symbol, $to->symbol));
        }

        return $value->multipliedBy($this->factor)->dividedBy($to->factor)->simplified();
    }
}
