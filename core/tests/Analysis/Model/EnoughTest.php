<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\Enough;
use PHPUnit\Framework\TestCase;

final class EnoughTest extends TestCase
{
    public function testItSaysWhatIsMissingForAMap(): void
    {
        self::assertStringContainsString('at least 5 questions', (string) Enough::missingForMap(4, 100));
        self::assertStringContainsString('here there are 29', (string) Enough::missingForMap(5, 29));
        self::assertNull(Enough::missingForMap(5, 30));
        self::assertNull(Enough::missingForMap(5, null), 'as long as it is not known');
        self::assertFalse(Enough::forSlopes(199));
        self::assertTrue(Enough::forSlopes(200));
    }
}
