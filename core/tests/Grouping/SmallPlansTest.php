<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Grouping;

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** On small plans every way is gone through here, by plain arithmetic of its own, and none is better than what was formed. */
final class SmallPlansTest extends TestCase
{
    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'small plans', true)));
    }

    public function testNoWayIsBetterAndNoConstraintIsBrokenThatCanBeKept(): void
    {
        $impossible = 0;
        for ($i = 0; $i < 32; ++$i) {
            [$students, $plan] = $this->plan(7, 3, Plan::AIMS[$i % 4], $i);
            $formed = Former::form($students, $plan);
            [$broken, $value] = self::best($students, $plan);
            self::assertSame($broken > 0, $formed->broken !== [], "plan $i");
            if ($broken === 0) {
                self::assertEqualsWithDelta($value, $formed->cost, 1e-6, "plan $i");
                self::assertNull($formed->clash);
            } else {
                ++$impossible;
                self::assertNotNull($formed->clash, "plan $i");
            }
        }
        self::assertGreaterThan(3, $impossible);
    }

    public function testTheSmallestClashIsNamedAndNothingInItCanBeLeftOut(): void
    {
        // Six in two groups of three; a, b, c together fill one, so that d, e and f must share the other.
        $students = array_map(static fn (string $id): Student => new Student($id, 0.5, name: strtoupper($id)), ['a', 'b', 'c', 'd', 'e', 'f']);
        $plan = new Plan(2, least: 3, most: 3, apart: [['d', 'e'], ['a', 'f']], together: [['a', 'b', 'c']], seed: '1');
        $clash = Former::form($students, $plan)->clash;
        self::assertSame('These cannot be kept together in 2 groups: A, B and C together; D and E apart; and at most 3 in a group.', $clash);
        foreach ([$plan->with(together: []), $plan->with(apart: [['a', 'f']]), $plan->with(least: 1, most: 0)] as $without) {
            self::assertSame([], Former::form($students, $without)->broken);
        }
    }

    /** @return array{list<Student>, Plan} */
    private function plan(int $n, int $groups, string $aim, int $seed): array
    {
        $students = [];
        for ($i = 0; $i < $n; ++$i) {
            $evidence = [];
            foreach (['m1', 'm2', 'm3'] as $idea) {
                $evidence[$idea] = Evidence::of($this->random->getInt(0, 4), 4);
            }
            $students[] = new Student(
                's'.$i,
                $this->random->getInt(0, 20) / 20,
                $evidence,
                labels: ['house' => ['north', 'south'][$this->random->getInt(0, 1)]],
                next: ['', 'a', 'b'][$this->random->getInt(0, 2)],
            );
        }
        $some = fn (int $k): array => array_map(
            static fn (int $i): string => 's'.$i,
            array_values($this->random->pickArrayKeys(range(0, $n - 1), max(1, $k))),
        );
        $apart = $together = $fixed = [];
        for ($i = $this->random->getInt(0, 4); $i > 0; --$i) {
            [$a, $b] = $some(2);
            $apart[] = [$a, $b];
        }
        for ($i = $this->random->getInt(0, 2); $i > 0; --$i) {
            $together[] = $some($this->random->getInt(2, 3));
        }
        for ($i = $this->random->getInt(0, 2); $i > 0; --$i) {
            $fixed[$some(1)[0]] = $this->random->getInt(0, $groups - 1);
        }

        return [$students, new Plan(
            $groups,
            $aim,
            $this->random->getInt(1, 2),
            $this->random->getInt(0, 1) * 3,
            $apart,
            $together,
            $this->random->getInt(0, 2) > 0 ? [] : ['house'],
            $fixed,
            (string) $seed,
        )];
    }

    /**
     * @param list<Student> $students
     *
     * @return array{int, float} the fewest broken constraints, and the best aim among the ways that break so many; 0 or more than 0 is what counts
     */
    private static function best(array $students, Plan $plan): array
    {
        $n = count($students);
        $best = [PHP_INT_MAX, INF];
        for ($code = 0; $code < $plan->groups ** $n; ++$code) {
            $in = [];
            for ($i = 0, $rest = $code; $i < $n; ++$i, $rest = intdiv($rest, $plan->groups)) {
                $in['s'.$i] = $rest % $plan->groups;
            }
            $way = [self::broken($students, $plan, $in), 0.0];
            if ($way[0] <= $best[0]) {
                $way[1] = self::aim($students, $plan, $in);
                $best = min($best, $way);
            }
        }

        return $best;
    }

    /**
     * @param list<Student>      $students
     * @param array<string, int> $in       group by student
     */
    private static function broken(array $students, Plan $plan, array $in): int
    {
        $broken = 0;
        foreach ($plan->apart as [$a, $b]) {
            $broken += $in[$a] === $in[$b] ? 1 : 0;
        }
        foreach ($plan->together as $set) {
            $broken += count(array_unique(array_map(static fn (string $id): int => $in[$id], $set))) - 1;
        }
        foreach ($plan->fixed as $id => $g) {
            $broken += $in[$id] === $g ? 0 : 1;
        }
        for ($g = 0; $g < $plan->groups; ++$g) {
            $members = array_filter($students, static fn (Student $s): bool => $in[$s->id] === $g);
            $size = count($members);
            $broken += max(0, $plan->least - $size) + ($plan->most > 0 ? max(0, $size - $plan->most) : 0);
            foreach ($plan->spread === [] ? [] : ['north', 'south'] as $house) {
                $all = count(array_filter($students, static fn (Student $s): bool => $s->labels['house'] === $house));
                $here = count(array_filter($members, static fn (Student $s): bool => $s->labels['house'] === $house));
                $fair = $all * $size / count($students);
                $broken += $here > ceil($fair - 1e-9) || $here < floor($fair + 1e-9) ? 1 : 0;
            }
        }

        return $broken;
    }

    /**
     * @param list<Student>      $students
     * @param array<string, int> $in
     */
    private static function aim(array $students, Plan $plan, array $in): float
    {
        $whole = array_sum(array_map(static fn (Student $s): float => $s->share, $students)) / count($students);
        $cost = 0.0;
        for ($g = 0; $g < $plan->groups; ++$g) {
            $members = array_values(array_filter($students, static fn (Student $s): bool => $in[$s->id] === $g));
            if ($members === []) {
                continue;
            }
            $mean = array_sum(array_map(static fn (Student $s): float => $s->share, $members)) / count($members);
            $cost += match ($plan->aim) {
                Plan::ALIKE => array_sum(array_map(static fn (Student $s): float => ($s->share - $mean) ** 2, $members)),
                Plan::MIXED => count($members) * ($mean - $whole) ** 2,
                Plan::NEXT => -max(0, ...array_values(array_count_values(array_filter(
                    array_map(static fn (Student $s): string => $s->next, $members),
                    static fn (string $next): bool => $next !== '',
                ))), ...[0]),
                default => -max(array_map(static fn (string $idea): float => array_sum(array_map(
                    static fn (Student $s): float => $s->evidence[$idea]->shown > 0 ? (float) $s->evidence[$idea]->rate->value : 0.0,
                    $members,
                )), ['m1', 'm2', 'm3'])),
            };
        }

        return $cost;
    }
}
