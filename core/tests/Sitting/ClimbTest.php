<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Sitting\Climb;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClimbTest extends TestCase
{
    /** @param list<list<string>> $members */
    #[DataProvider('teams')]
    public function testATeamIsAsHighAsItsMembersAreRightOnTheAverage(array $members, string $rungs): void
    {
        $credits = array_map(static fn (array $of): array => array_map(BigRational::of(...), $of), $members);
        self::assertSame($rungs, (string) Climb::height($credits));
    }

    /** @return iterable<string, array{list<list<string>>, string}> */
    public static function teams(): iterable
    {
        yield 'nobody is here' => [[], '0'];
        yield 'nothing is answered' => [[[], []], '0'];
        yield 'each has one question right' => [[['1'], ['1'], ['1']], '1'];
        yield 'one of three has' => [[['1'], ['0'], []], '1/3'];
        yield 'part of the credit is part of a rung' => [[['1/3', '1'], ['1/2']], '11/12'];
        yield 'a larger team that does as well is as high' => [[['1', '1'], ['1', '1'], ['1', '1'], ['1', '1']], '2'];
    }
}
