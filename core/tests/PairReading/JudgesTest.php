<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\PairReading;

use ChalkLadder\Core\PairReading\BradleyTerry;
use ChalkLadder\Core\PairReading\Judges;
use PHPUnit\Framework\TestCase;

final class JudgesTest extends TestCase
{
    public function testATieIsHalfAWinForEach(): void
    {
        $drawn = BradleyTerry::of([], [['a', 'b'], ['a', 'b']]);
        self::assertEqualsWithDelta(0.0, $drawn->objects['a']['ability'], 1e-9);
        self::assertSame([0, 0, 2], [$drawn->objects['a']['wins'], $drawn->objects['a']['losses'], $drawn->objects['a']['ties']]);
        self::assertNull($drawn->note, 'ties tie the two together');
        // Three wins and two ties count as four of five: the difference is ln 4.
        $some = BradleyTerry::of([['a', 'b'], ['a', 'b'], ['a', 'b']], [['b', 'a'], ['a', 'b']]);
        self::assertEqualsWithDelta(log(4), $some->objects['a']['ability'] - $some->objects['b']['ability'], 1e-8);
    }

    public function testAJudgeWhoPrefersTheWeakerMisfits(): void
    {
        $abilities = ['a' => 1.5, 'b' => 0.0, 'c' => -1.5];
        $results = [];
        foreach ([['a', 'b'], ['b', 'c'], ['a', 'c'], ['a', 'b'], ['c', 'b'], ['a', 'c']] as [$winner, $loser]) {
            $results[] = ['with', $winner, $loser];
            $results[] = ['against', $loser, $winner];
        }
        $found = Judges::misfit($results, $abilities);
        self::assertLessThan(1.5, $found['with']['misfit']);
        self::assertGreaterThan(4.0, $found['against']['misfit']);
        self::assertSame(6, $found['with']['n']);
    }

    public function testTheLeastSeenMeetsItsNearest(): void
    {
        self::assertSame(
            ['d', 'c'],
            Judges::next(['a' => 2.0, 'b' => 1.0, 'c' => -0.2, 'd' => -0.5], [['a', 'b'], ['b', 'c'], ['a', 'c']]),
        );
        self::assertSame(
            ['d', 'b'],
            Judges::next(
                ['a' => 2.0, 'b' => 1.0, 'c' => -0.2, 'd' => -0.5],
                [['a', 'b'], ['b', 'c'], ['a', 'c'], ['d', 'c'], ['a', 'b'], ['a', 'c']],
            ),
            'not the one it has met already',
        );
        self::assertNull(Judges::next(['a' => 0.0], []));
    }
}
