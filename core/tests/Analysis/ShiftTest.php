<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Shift;
use PHPUnit\Framework\TestCase;

final class ShiftTest extends TestCase
{
    public function testWhoMovedIsCountedOverThoseInBothCounts(): void
    {
        $first = ['ada' => ['b'], 'ben' => ['a'], 'cleo' => ['c'], 'dee' => ['a'], 'gone' => ['a']];
        $now = ['ada' => ['a'], 'ben' => ['b'], 'cleo' => ['b'], 'dee' => ['a'], 'new' => ['a']];
        $shift = Shift::between($first, $now, ['a']);
        self::assertSame([1, 1, 1, 1], [$shift->toKey, $shift->fromKey, $shift->keptKey, $shift->keptOther]);
    }

    public function testOfSeveralKeysAllAndNothingElseAreRight(): void
    {
        $first = ['x' => ['a'], 'y' => ['b', 'a'], 'z' => ['a', 'b', 'c']];
        $now = ['x' => ['b', 'a'], 'y' => ['a', 'b'], 'z' => ['a', 'b']];
        $shift = Shift::between($first, $now, ['a', 'b']);
        self::assertSame([2, 0, 1], [$shift->toKey, $shift->fromKey, $shift->keptKey]);
    }
}
