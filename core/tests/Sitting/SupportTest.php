<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Sitting\Support;
use PHPUnit\Framework\TestCase;

final class SupportTest extends TestCase
{
    public function testOnlyWhatIsGivenIsWrittenDown(): void
    {
        self::assertSame([], (new Support())->toArray());
        self::assertTrue((new Support())->isNone());
        $support = new Support(lineFocus: true, fewerOptions: 2);
        self::assertSame(['lineFocus' => true, 'fewerOptions' => 2], $support->toArray());
        self::assertFalse($support->isNone());
        self::assertEquals($support, Support::read(new Node($support->toArray())));
    }
}
