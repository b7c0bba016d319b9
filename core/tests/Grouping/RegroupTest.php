<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Grouping;

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Regroup;
use ChalkLadder\Core\Grouping\Student;
use PHPUnit\Framework\TestCase;

final class RegroupTest extends TestCase
{
    private const NAMES = ['even' => 'Tide falls evenly', 'nosub' => 'Forgets to subtract', 'rare' => 'A rare idea'];

    public function testByRungEachStudentIsInOneGroupWithAReason(): void
    {
        $groups = Regroup::byRung(
            [new Student('a', 0.9), new Student('b', 0.2), new Student('c', 0.5), new Student('d', 0.1)],
            new Rungs(),
        );

        self::assertSame(['Footing', 'Climbing', 'Clear'], array_map(static fn (Group $g): string => $g->name, $groups));
        self::assertSame(['b', 'd'], array_keys($groups[0]->members));
        self::assertSame('50 % of the marks, which is climbing (50 % to 75 %).', $groups[1]->members['c']);
    }

    public function testByMisconceptionTheLikeliestIdeaDecides(): void
    {
        $students = [];
        foreach (range(1, 4) as $i) {
            $students[] = new Student("e$i", 0.4, ['even' => Evidence::of(2, 2), 'nosub' => Evidence::of(1, 3)]);
            $students[] = new Student("n$i", 0.4, ['nosub' => Evidence::of(1, 2)]);
        }
        $students[] = new Student('r', 0.4, ['rare' => Evidence::of(1, 1)]);
        $students[] = new Student('moves', 0.4, ['rare' => Evidence::of(2, 2), 'even' => Evidence::of(1, 3)]);
        $students[] = new Student('clean', 1.0, ['even' => Evidence::of(0, 3)]);
        $groups = Regroup::byMisconception($students, self::NAMES);

        self::assertSame(['even', 'nosub', ''], array_map(static fn (Group $g): string => $g->about, $groups));
        self::assertArrayHasKey('moves', $groups[0]->members, 'when too few share an idea, the next one counts');
        self::assertSame('Showed this idea 2 of 2 times.', $groups[0]->members['e1']);
        self::assertSame('Showed this idea 1 of 2 times, which is thin evidence.', $groups[1]->members['n1']);
        self::assertSame('Showed no listed wrong idea; 100 % of the marks.', $groups[2]->members['clean']);
        self::assertStringContainsString('"A rare idea"', $groups[2]->members['r']);
        self::assertSame(count($students), array_sum(array_map(static fn (Group $g): int => count($g->members), $groups)));
    }

    public function testNobodyMakesNoGroup(): void
    {
        self::assertSame([], Regroup::byRung([], new Rungs()));
        self::assertSame([], Regroup::byMisconception([], self::NAMES));
    }
}
