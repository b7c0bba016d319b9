<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Unit;
use PHPUnit\Framework\TestCase;

final class UnitTest extends TestCase
{
    public function testKnowsWhatStudentsCallAUnit(): void
    {
        foreach ([
            'm' => 'm',
            'Metres' => 'm',
            'CM' => 'cm',
            'knots' => 'kn',
            'deg' => '°',
            'km^2' => 'km²',
            'Nautical Miles' => 'nmi',
        ] as $written => $symbol) {
            self::assertSame($symbol, Unit::named($written)?->symbol, $written);
        }
        self::assertNull(Unit::named('fathoms of fog'));
    }

    public function testConvertsExactlyAndBack(): void
    {
        $value = BigRational::nd(22, 7);
        foreach (Unit::symbols() as $from) {
            foreach (Unit::symbols() as $to) {
                [$a, $b] = [Unit::named($from), Unit::named($to)];
                self::assertNotNull($a);
                self::assertNotNull($b);
                if ($a->measuresSameAs($b)) {
                    self::assertTrue($b->convert($a->convert($value, $b), $a)->isEqualTo($value), "$from to $to and back");
                }
            }
        }
    }

    public function testOneKnotIsANauticalMileAnHour(): void
    {
        $knot = Unit::named('kn');
        $kmh = Unit::named('km/h');
        self::assertNotNull($knot);
        self::assertNotNull($kmh);
        self::assertTrue($knot->convert(BigRational::one(), $kmh)->isEqualTo('463/250'));
    }

    public function testRefusesToConvertADepthToAMass(): void
    {
        $metre = Unit::named('m');
        $kilogram = Unit::named('kg');
        self::assertNotNull($metre);
        self::assertNotNull($kilogram);
        $this->expectException(\DomainException::class);
        $metre->convert(BigRational::one(), $kilogram);
    }
}
