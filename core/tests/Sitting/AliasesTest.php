<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Sitting\Aliases;
use PHPUnit\Framework\TestCase;

final class AliasesTest extends TestCase
{
    public function testNoTwoAreTheSameAndTheyStayTheSame(): void
    {
        $pairs = [];
        for ($i = 0; $i < 500; ++$i) {
            [$one, $other] = Aliases::some("seed $i", 2);
            self::assertNotSame($one, $other);
            self::assertSame([$one, $other], Aliases::some("seed $i", 2));
            $pairs["$one $other"] = true;
        }
        self::assertGreaterThan(200, count($pairs));
        self::assertCount(8, array_unique(Aliases::some('a class', 8)));
    }
}
