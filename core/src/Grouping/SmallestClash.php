<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/**
 * Why constraints cannot all be kept, where {@see Clash} finds no plain reason: a set of them that cannot be kept together, none of
 * which can be left out of it (deletion filter; Chinneck & Dravnieks, ORSA Journal on Computing 3, 1991). Of several such sets,
 * found from different ends, the smallest.
 */
final class SmallestClash
{
    private const MOST_STUDENTS = 60;
    private const MOST_CONSTRAINTS = 60;

    /** @param list<Student> $students */
    public static function of(array $students, Plan $plan): string
    {
        $constraints = self::constraints($students, $plan);
        if (count($students) > self::MOST_STUDENTS || count($constraints) > self::MOST_CONSTRAINTS) {
            return 'No way was found to keep all of these constraints. Leave some out, beginning with those that are listed as broken.';
        }
        $smallest = $constraints;
        foreach ([array_keys($constraints), array_reverse(array_keys($constraints))] as $order) {
            $kept = $constraints;
            foreach ($order as $one) {
                $without = $kept;
                unset($without[$one]);
                if (!Former::keeps($students, self::plan($plan, $without))) {
                    $kept = $without;
                }
            }
            if (count($kept) < count($smallest)) {
                $smallest = $kept;
            }
        }
        $words = array_column($smallest, 'words');
        $last = array_pop($words);

        return sprintf(
            'These cannot be kept together in %d %s: %s%s.',
            $plan->groups,
            $plan->groups === 1 ? 'group' : 'groups',
            $words === [] ? '' : implode('; ', $words).'; and ',
            $last ?? '',
        );
    }

    /**
     * @param list<Student> $students
     *
     * @return list<array{kind: string, value: mixed, words: string}>
     */
    private static function constraints(array $students, Plan $plan): array
    {
        $names = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name === '' ? $student->id : $student->name;
        }
        $found = [];
        foreach ($plan->spread as $label) {
            $found[] = ['kind' => 'spread', 'value' => $label, 'words' => sprintf('an even spread of %s', $label)];
        }
        foreach ($plan->fixed as $id => $group) {
            if (isset($names[$id])) {
                $found[] = ['kind' => 'fixed', 'value' => [$id, $group], 'words' => sprintf('%s in group %d', $names[$id], $group + 1)];
            }
        }
        foreach ($plan->together as $set) {
            $set = array_values(array_filter($set, static fn (string $id): bool => isset($names[$id])));
            if (count($set) > 1) {
                $found[] = ['kind' => 'together', 'value' => $set, 'words' => Clash::listed($set, $names).' together'];
            }
        }
        foreach ($plan->apart as [$a, $b]) {
            if (isset($names[$a], $names[$b])) {
                $found[] = ['kind' => 'apart', 'value' => [$a, $b], 'words' => sprintf('%s and %s apart', $names[$a], $names[$b])];
            }
        }
        if ($plan->least > 0) {
            $words = $plan->least === 1 ? 'no group empty' : sprintf('at least %d students in a group', $plan->least);
            $found[] = ['kind' => 'least', 'value' => $plan->least, 'words' => $words];
        }
        if ($plan->most > 0) {
            $found[] = ['kind' => 'most', 'value' => $plan->most, 'words' => sprintf('at most %d in a group', $plan->most)];
        }

        return $found;
    }

    /** @param array<int, array{kind: string, value: mixed, words: string}> $kept */
    private static function plan(Plan $plan, array $kept): Plan
    {
        $of = static fn (string $kind): array => array_values(array_map(
            static fn (array $c): mixed => $c['value'],
            array_filter($kept, static fn (array $c): bool => $c['kind'] === $kind),
        ));
        /** @var list<array{string, string}> $apart */
        $apart = $of('apart');
        /** @var list<list<string>> $together */
        $together = $of('together');
        /** @var list<string> $spread */
        $spread = $of('spread');
        /** @var list<array{string, int}> $fixed */
        $fixed = $of('fixed');

        return $plan->with(
            least: $of('least') === [] ? 0 : $plan->least,
            most: $of('most') === [] ? 0 : $plan->most,
            apart: $apart,
            together: $together,
            spread: $spread,
            fixed: array_column($fixed, 1, 0),
        );
    }
}
