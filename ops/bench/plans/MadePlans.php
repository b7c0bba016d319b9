<?php

declare(strict_types=1);

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Students and plans drawn by chance: every aim, and constraints of every kind, some of which cannot all be kept. */
final class MadePlans
{
    private readonly Randomizer $random;

    public function __construct(string $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'plans|'.$seed, true)));
    }

    /**
     * @return array{list<Student>, Plan}
     */
    public function plan(int $number, int $students, int $groups): array
    {
        $made = $ids = [];
        for ($i = 0; $i < $students; ++$i) {
            $evidence = [];
            foreach (['m1', 'm2', 'm3', 'm4'] as $idea) {
                if ($this->chance(2, 3)) {
                    $evidence[$idea] = Evidence::of($this->random->getInt(0, 4), 4);
                }
            }
            $ids[] = "s$i";
            $made[] = new Student(
                "s$i",
                $this->random->getInt(0, 40) / 40,
                $evidence,
                "S$i",
                next: ['', 'a', 'b', 'c'][$this->random->getInt(0, 3)],
                labels: ['x' => $this->chance(1, 2) ? 'p' : 'q'],
            );
        }
        $few = max(1, intdiv($students, 8));
        $fixed = [];
        for ($i = $this->random->getInt(0, 2); $i > 0; --$i) {
            $fixed[$this->some($ids, 1)[0]] = $this->random->getInt(0, $groups - 1);
        }

        return [$made, new Plan(
            $groups,
            Plan::AIMS[$number % count(Plan::AIMS)],
            $this->chance(1, 2) ? intdiv($students, $groups) : 1,
            $this->chance(1, 2) ? (int) ceil($students / $groups) : 0,
            array_map(fn (): array => $this->some($ids, 2), array_fill(0, $this->random->getInt(0, 4 * $few), 0)),
            array_map(fn (): array => $this->some($ids, $this->random->getInt(2, 3)), array_fill(0, $this->random->getInt(0, 2 * $few), 0)),
            $this->chance(1, 3) ? ['x'] : [],
            $fixed,
            "plan $number",
        )];
    }

    private function chance(int $of, int $in): bool
    {
        return $this->random->getInt(1, $in) <= $of;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function some(array $ids, int $count): array
    {
        return array_slice($this->random->shuffleArray($ids), 0, $count);
    }
}
