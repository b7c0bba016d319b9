<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/** Puts formed groups into words: names, one sentence a student, the value with its bound, broken constraints. */
final class Reasons
{
    private const MEASURES = [
        Plan::ALIKE => 'mean distance of a student from their group’s mean, in shares of the marks (root of the mean square)',
        Plan::MIXED => 'mean distance of a group’s mean from the whole’s, in shares of the marks (root of the mean square)',
        Plan::MISCONCEPTION => 'how surely students hold the idea of their group, added up',
        Plan::NEXT => 'students whose next step is their group’s',
    ];

    /**
     * @param list<Student>         $students
     * @param list<list<int>>       $placed students by group
     * @param array<string, string> $topics names of misconceptions and next steps
     */
    public static function told(
        array $students,
        Plan $plan,
        array $placed,
        array $topics,
        float $value,
        float $cost,
        float $start,
        bool $tell,
    ): Formed {
        $groups = $named = [];
        foreach ($placed as $g => $members) {
            $tally = new Tally();
            foreach ($members as $i) {
                $tally = $tally->with(Tally::of($students[$i], $plan));
            }
            $topic = $tally->topic();
            $about = $topics[$topic] ?? $topic;
            $reasons = [];
            foreach ($members as $i) {
                $reasons[$students[$i]->id] = self::reason($students[$i], $plan, $tally, $topic, $about);
            }
            $name = self::name($plan, $g, $about);
            $named[$name] = ($named[$name] ?? 0) + 1;
            $groups[] = new Group(
                $named[$name] > 1 ? $name.', '.$named[$name] : $name,
                $plan->aim === Plan::MISCONCEPTION ? $topic : '',
                $reasons,
            );
        }
        $broken = self::broken($students, $plan, $placed);

        return new Formed(
            $groups,
            self::value($plan, $value, count($students)),
            $cost,
            $start,
            self::bound($students, $plan),
            self::MEASURES[$plan->aim],
            $broken,
            $broken === [] || !$tell ? null : Clash::of($students, $plan) ?? SmallestClash::of($students, $plan),
        );
    }

    private static function name(Plan $plan, int $g, string $about): string
    {
        return match ($plan->aim) {
            Plan::MISCONCEPTION, Plan::NEXT => $about === '' ? sprintf('Group %d', $g + 1) : $about,
            default => sprintf('Group %d', $g + 1),
        };
    }

    private static function reason(Student $student, Plan $plan, Tally $group, string $topic, string $about): string
    {
        if (isset($plan->fixed[$student->id])) {
            return 'Placed here by the teacher.';
        }
        $share = self::percent($student->share);
        $mean = self::percent($group->mean());
        if ($plan->aim === Plan::MISCONCEPTION) {
            $evidence = $student->evidence[$topic] ?? null;

            return $evidence !== null && $evidence->shown > 0
                ? sprintf(
                    'Showed this idea %d of %d %s%s.',
                    $evidence->shown,
                    $evidence->offered,
                    $evidence->offered === 1 ? 'time' : 'times',
                    $evidence->likely ? '' : ', which is thin evidence',
                )
                : sprintf('Did not show this idea; here to keep sizes and constraints (%s of the marks).', $share);
        }
        if ($plan->aim === Plan::NEXT) {
            return $topic !== '' && $student->next === $topic ? sprintf('Next step: %s.', $about) : sprintf(
                'Another next step; here to keep sizes and constraints (%s of the marks).',
                $share,
            );
        }

        return $plan->aim === Plan::MIXED
            ? sprintf('%s of the marks, in a group that has %s on the whole.', $share, $mean)
            : sprintf('%s of the marks; this group has about %s.', $share, $mean);
    }

    private static function value(Plan $plan, float $cost, int $n): float
    {
        return $plan->aim === Plan::ALIKE || $plan->aim === Plan::MIXED ? sqrt(max(0.0, $cost) / max(1, $n)) : -$cost;
    }

    /**
     * Alike: the best cut of the students in order of level ({@see LevelCut}). Mixed: nought. Topics: every student under
     * their own strongest.
     *
     * @param list<Student> $students
     */
    private static function bound(array $students, Plan $plan): ?float
    {
        $n = count($students);
        if ($plan->aim === Plan::MIXED) {
            return 0.0;
        }
        if ($plan->aim !== Plan::ALIKE) {
            return array_sum(array_map(static fn (Student $s): float => -Tally::of($s, $plan)->cost($plan->aim, new Tally()), $students));
        }
        $cut = LevelCut::of(array_map(static fn (Student $s): float => $s->share, $students), $plan);

        return $cut === null ? null : sqrt($cut->within / max(1, $n));
    }

    /**
     * @param list<Student>   $students
     * @param list<list<int>> $placed
     *
     * @return list<string>
     */
    private static function broken(array $students, Plan $plan, array $placed): array
    {
        $group = $names = [];
        foreach ($placed as $g => $members) {
            foreach ($members as $i) {
                $group[$students[$i]->id] = $g;
                $names[$students[$i]->id] = $students[$i]->name === '' ? $students[$i]->id : $students[$i]->name;
            }
        }
        $broken = [];
        foreach ($plan->apart as [$a, $b]) {
            if (isset($group[$a], $group[$b]) && $group[$a] === $group[$b]) {
                $broken[] = sprintf('%s and %s are in one group, though they should be apart.', $names[$a], $names[$b]);
            }
        }
        foreach ($plan->fixed as $id => $g) {
            if (isset($group[$id]) && $group[$id] !== $g) {
                $broken[] = sprintf('%s is not in group %d.', $names[$id], $g + 1);
            }
        }
        $whole = new Tally();
        foreach ($students as $student) {
            $whole = $whole->with(Tally::of($student, $plan));
        }
        foreach ($placed as $g => $members) {
            $size = count($members);
            if ($size < $plan->least) {
                $broken[] = sprintf('Group %d has %d students, fewer than %d.', $g + 1, $size, $plan->least);
            }
            if ($plan->most > 0 && $size > $plan->most) {
                $broken[] = sprintf('Group %d has %d students, more than %d.', $g + 1, $size, $plan->most);
            }
            $tally = new Tally();
            foreach ($members as $i) {
                $tally = $tally->with(Tally::of($students[$i], $plan));
            }
            if ($tally->unevenness($whole) > 0) {
                $broken[] = sprintf('Group %d does not hold %s like the whole.', $g + 1, implode(' and ', $plan->spread));
            }
        }

        return $broken;
    }

    private static function percent(float $share): string
    {
        return sprintf('%d %%', (int) round(100 * $share));
    }
}
