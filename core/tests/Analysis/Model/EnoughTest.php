<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Model\Enough;
use ChalkLadder\Core\Analysis\Model\Steps;
use ChalkLadder\Core\Analysis\Question;
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

    public function testAMapTakesWhatIsMarkedAndTheRaschModelWhatIsRightOrWrong(): void
    {
        $part = new Question('q', 4.0, [], [Cell::Answered, Cell::Omitted, Cell::NotReached], [0.25, 0.0, null], []);
        $whole = new Question('q', 4.0, [], [Cell::Answered, Cell::Answered, Cell::NotReached], [1.0, 0.0, null], []);
        $waits = new Question('q', 4.0, [], [Cell::Answered, Cell::Waiting], [1.0, null], []);

        self::assertSame([true, true, false], array_map(Enough::isMarked(...), [$part, $whole, $waits]));
        self::assertSame([false, true, true], array_map(Enough::isRightOrWrong(...), [$part, $whole, $waits]));
        self::assertSame([[250, 1000], [0, 0], [null, null]], Steps::of([$part, $whole], 3));
    }
}
