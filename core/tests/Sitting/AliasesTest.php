<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Sitting\Aliases;
use PHPUnit\Framework\TestCase;

final class AliasesTest extends TestCase
{
    public function testTwoAreNeverTheSameAndStayTheSame(): void
    {
        $pairs = [];
        for ($i = 0; $i < 500; ++$i) {
            [$one, $other] = Aliases::two("seed $i");
            self::assertNotSame($one, $other);
            self::assertSame([$one, $other], Aliases::two("seed $i"));
            $pairs["$one $other"] = true;
        }
        self::assertGreaterThan(200, count($pairs));
    }
}
