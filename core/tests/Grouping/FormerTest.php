<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Grouping;

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Document\Problem;
use ChalkLadder\Core\Grouping\Formed;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormerTest extends TestCase
{
    public function testAlikeWithoutConstraintsReachesTheBound(): void
    {
        $formed = Former::form(self::class([0.1, 0.9, 0.12, 0.5, 0.88, 0.52, 0.11, 0.48, 0.91]), new Plan(3, Plan::ALIKE, 3, 3));

        self::assertSame([['s0', 's2', 's6'], ['s3', 's5', 's7'], ['s1', 's4', 's8']], self::members($formed));
        self::assertNotNull($formed->bound);
        self::assertEqualsWithDelta($formed->bound, $formed->value, 1e-9);
        self::assertSame('11 % of the marks; this group has about 11 %.', $formed->groups[0]->members['s6']);
        self::assertSame([[], null], [$formed->broken, $formed->clash]);
    }

    public function testMixedGroupsHaveTheWholesMean(): void
    {
        $levels = self::levels(24, 1);
        $formed = Former::form(self::class($levels), new Plan(6, Plan::MIXED, 4, 4));
        self::assertLessThan(0.005, $formed->value);
        self::assertStringContainsString('in a group that has 50 % on the whole', (string) array_values($formed->groups[0]->members)[0]);
    }

    public function testConstraintsAreKeptWhereTheyCanBe(): void
    {
        $students = self::class(self::levels(30, 37));
        $plan = new Plan(
            6,
            Plan::ALIKE,
            5,
            5,
            [['s0', 's1'], ['s1', 's2'], ['s0', 's2'], ['s3', 's4']],
            [['s5', 's6', 's7'], ['s7', 's8']],
            ['class'],
            ['s9' => 2, 's10' => 2],
        );
        $formed = Former::form($students, $plan);

        self::assertSame([], $formed->broken);
        $group = self::groupOf($formed);
        self::assertCount(3, array_unique([$group['s0'], $group['s1'], $group['s2']]));
        self::assertNotSame($group['s3'], $group['s4']);
        self::assertCount(1, array_unique([$group['s5'], $group['s6'], $group['s7'], $group['s8']]));
        self::assertSame([2, 2], [$group['s9'], $group['s10']]);
        self::assertSame([5, 5, 5, 5, 5, 5], array_map(static fn (Group $g): int => count($g->members), $formed->groups));
        foreach ($formed->groups as $g) {
            $ofA = count(array_filter(array_keys($g->members), static fn (string $id): bool => (int) substr($id, 1) % 2 === 0));
            self::assertContains($ofA, [2, 3], 'half the class, half of each group');
        }
        self::assertSame('Placed here by the teacher.', $formed->groups[2]->members['s9']);
    }

    /** @return iterable<string, array{Plan, string}> */
    public static function clashes(): iterable
    {
        yield 'too many for the groups' => [new Plan(2, least: 1, most: 3), '2 groups of at most 3 hold 6 students; there are 8.'];
        yield 'too few' => [new Plan(3, least: 4), '3 groups of at least 4 need 12 students; there are 8.'];
        yield 'bounds that cross' => [new Plan(2, least: 4, most: 3), 'A group cannot hold at least 4 and at most 3 students.'];
        yield 'apart and together' => [
            new Plan(2, apart: [['s1', 's3']], together: [['s1', 's2'], ['s2', 's3']]),
            'S1 and S3 are to be apart, but are to be together as well.',
        ];
        yield 'three apart in two groups' => [
            new Plan(2, apart: [['s1', 's2'], ['s2', 's3'], ['s1', 's3'], ['s5', 's6']]),
            'are all to be apart from each other: that needs 3 groups, and there are 2.',
        ];
        yield 'a set too large' => [
            new Plan(4, most: 2, together: [['s0', 's1', 's2']]),
            'S0, S1 and S2 are to be together, 3 students; a group holds at most 2.',
        ];
        yield 'placed against a pair' => [
            new Plan(2, apart: [['s0', 's1']], fixed: ['s0' => 1, 's1' => 1]),
            'S0 and S1 are to be apart, but both are placed in group 2.',
        ];
        yield 'placed against a set' => [
            new Plan(2, together: [['s0', 's1']], fixed: ['s0' => 0, 's1' => 1]),
            'S0 and S1 are to be together, but are placed in groups 1 and 2.',
        ];
    }

    #[DataProvider('clashes')]
    public function testWhatCannotBeKeptIsExplainedAndGroupsAreFormedAllTheSame(Plan $plan, string $sentence): void
    {
        $formed = Former::form(self::class([0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8]), $plan);

        self::assertStringContainsString($sentence, (string) $formed->clash);
        self::assertNotSame([], $formed->broken);
        self::assertCount(8, self::groupOf($formed), 'nobody is lost');
    }

    public function testByMisconceptionGathersThoseWhoShareAnIdea(): void
    {
        $students = [];
        foreach (['even', 'even', 'even', 'sub', 'sub', 'sub', 'none', 'none', 'none'] as $i => $idea) {
            $students[] = new Student(
                "s$i",
                0.5,
                ['even' => Evidence::of($idea === 'even' ? 3 : 0, 3), 'sub' => Evidence::of($idea === 'sub' ? 3 : 0, 3)],
            );
        }
        $formed = Former::form(
            $students,
            new Plan(3, Plan::MISCONCEPTION, 3, 3),
            ['even' => 'Falls evenly', 'sub' => 'Forgets to subtract'],
        );
        $byName = array_combine(array_map(static fn (Group $g): string => $g->name, $formed->groups), self::members($formed));

        self::assertSame(['s0', 's1', 's2'], $byName['Falls evenly']);
        self::assertSame(['s3', 's4', 's5'], $byName['Forgets to subtract']);
        self::assertEqualsWithDelta((float) $formed->bound, $formed->value, 1e-9);
        self::assertContains(
            'Showed this idea 3 of 3 times.',
            $formed->groups[(int) array_search('Falls evenly', array_keys($byName), true)]->members,
        );
    }

    public function testByNextStepCountsThoseWhoseStepItIs(): void
    {
        $students = array_map(
            static fn (int $i): Student => new Student("s$i", 0.5, [], '', [], $i < 4 ? 'scale' : 'bearings'),
            range(0, 7),
        );
        $formed = Former::form($students, new Plan(2, Plan::NEXT, 4, 4), ['scale' => 'Chart scale', 'bearings' => 'Compass bearings']);
        self::assertEqualsWithDelta(8.0, $formed->value, 1e-12);
        self::assertEqualsCanonicalizing(
            ['Chart scale', 'Compass bearings'],
            array_map(static fn (Group $g): string => $g->name, $formed->groups),
        );
        self::assertContains('Next step: Chart scale.', [...$formed->groups[0]->members, ...$formed->groups[1]->members]);
    }

    public function testNeverWorseThanTheGreedyStartAndTheSameForASeed(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 12; ++$round) {
            $n = mt_rand(6, 40);
            $apart = array_map(static fn (): array => ['s'.mt_rand(0, $n - 1), 's'.mt_rand(0, $n - 1)], range(0, 5));
            $apart = array_values(array_filter($apart, static fn (array $p): bool => $p[0] !== $p[1]));
            $students = self::class(array_map(static fn (): float => mt_rand(0, 100) / 100, range(1, $n)));
            $plan = new Plan(mt_rand(2, 5), Plan::AIMS[$round % 2], 1, 0, $apart, seed: "round $round");
            $formed = Former::form($students, $plan);
            self::assertLessThanOrEqual($formed->start + 1e-9, $formed->cost);
            self::assertSame(self::members($formed), self::members(Former::form($students, $plan)));
            self::assertCount($n, self::groupOf($formed), 'each once');
            self::assertSame($formed->broken === [], $formed->cost < 1e5, 'every broken constraint is named');
        }
    }

    public function testAPlanIsReadAndItsFaultsAreNamed(): void
    {
        $plan = Plan::read(
            new Node([
                'size' => 4,
                'aim' => 'mixed',
                'apart' => [['a', 'b']],
                'together' => [['c', 'd', 'e']],
                'spread' => ['class'],
                'fixed' => ['a' => 2],
                'seed' => 'x',
            ]),
            14,
        );
        self::assertSame([4, 3, 4, ['a' => 1]], [$plan->groups, $plan->least, $plan->most, $plan->fixed]);
        $node = new Node(['groups' => 0, 'aim' => 'best', 'apart' => [['a', 'a'], ['a']], 'colour' => 'red']);
        Plan::read($node, 14);
        try {
            $node->finish();
            self::fail('It was taken.');
        } catch (DocumentInvalid $e) {
            self::assertSame(
                ['groups', 'apart.0', 'apart.1', 'aim', 'colour'],
                array_map(static fn (Problem $p): string => $p->path, $e->problems),
            );
        }
    }

    /** @return list<float> 0 to just below 1, in steps taken in turn */
    private static function levels(int $n, int $stride): array
    {
        $levels = [];
        for ($i = 0; $i < $n; ++$i) {
            $levels[] = ($i * $stride % $n) / ($n - 1);
        }

        return $levels;
    }

    /**
     * @param list<float> $levels
     *
     * @return list<Student> s0, s1 …; every other one of class A
     */
    private static function class(array $levels): array
    {
        return array_map(
            static fn (float $level, int $i): Student => new Student("s$i", $level, [], "S$i", ['class' => $i % 2 === 0 ? 'A' : 'B']),
            $levels,
            array_keys($levels),
        );
    }

    /** @return list<list<string>> */
    private static function members(Formed $formed): array
    {
        return array_map(static fn (Group $g): array => array_map(strval(...), array_keys($g->members)), $formed->groups);
    }

    /** @return array<string, int> group by student */
    private static function groupOf(Formed $formed): array
    {
        $of = [];
        foreach (self::members($formed) as $g => $ids) {
            foreach ($ids as $id) {
                self::assertArrayNotHasKey($id, $of);
                $of[$id] = $g;
            }
        }

        return $of;
    }
}
