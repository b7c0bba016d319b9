<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\OwnSkill;
use ChalkLadder\Core\Analysis\Rungs;
use PHPUnit\Framework\TestCase;

final class OwnSkillTest extends TestCase
{
    public function testTheLatestTenAnswersCountAndNotHowOneBegan(): void
    {
        $own = OwnSkill::of([0, 0, 0, 0, 0, 1, 1, 0.5, 1, 1, 1, 1, 1, 1, 1], new Rungs());
        self::assertSame([9.5, 10, 3], [$own->credit, $own->n, $own->rung]);
        self::assertSame(1, OwnSkill::of([...array_fill(0, 9, 1.0), ...array_fill(0, 10, 0.0)], new Rungs())->rung);
    }

    public function testFewerThanThreeAnswersReachNoRung(): void
    {
        $rungs = static fn (float ...$credits): int => OwnSkill::of(array_values($credits), new Rungs())->rung;
        self::assertSame([0, 0, 0, 3, 2, 1], [$rungs(), $rungs(1), $rungs(1, 1), $rungs(1, 1, 1), $rungs(1, 0.5, 0), $rungs(0, 0, 0)]);
    }
}
