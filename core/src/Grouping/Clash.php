<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/**
 * Why constraints cannot all be kept: the smallest clash found, in one sentence. Sizes, pairs and sets are judged
 * exactly; for the rest, sets of students who are all kept apart from each other are sought greedily from every student.
 */
final class Clash
{
    /**
     * @param list<Student> $students
     *
     * @return string|null null when none was found
     */
    public static function of(array $students, Plan $plan): ?string
    {
        $names = [];
        foreach ($students as $student) {
            $names[$student->id] = $student->name === '' ? $student->id : $student->name;
        }
        $n = count($students);
        if ($plan->most > 0 && $plan->most < $plan->least) {
            return sprintf('A group cannot hold at least %d and at most %d students.', $plan->least, $plan->most);
        }
        if ($n < $plan->least * $plan->groups) {
            return sprintf(
                '%d groups of at least %d need %d students; there are %d.',
                $plan->groups,
                $plan->least,
                $plan->least * $plan->groups,
                $n,
            );
        }
        if ($plan->most > 0 && $n > $plan->most * $plan->groups) {
            return sprintf(
                '%d groups of at most %d hold %d students; there are %d.',
                $plan->groups,
                $plan->most,
                $plan->most * $plan->groups,
                $n,
            );
        }
        $blocks = self::blocks($names, $plan->together);
        foreach ($plan->apart as [$a, $b]) {
            if (isset($blocks[$a], $blocks[$b]) && $blocks[$a] === $blocks[$b]) {
                return sprintf('%s and %s are to be apart, but are to be together as well.', $names[$a], $names[$b]);
            }
            if (isset($plan->fixed[$a], $plan->fixed[$b]) && $plan->fixed[$a] === $plan->fixed[$b]) {
                return sprintf(
                    '%s and %s are to be apart, but both are placed in group %d.',
                    $names[$a] ?? $a,
                    $names[$b] ?? $b,
                    $plan->fixed[$a] + 1,
                );
            }
        }
        $placed = $sizes = [];
        foreach ($blocks as $id => $block) {
            $sizes[$block] = ($sizes[$block] ?? 0) + 1;
            $group = $plan->fixed[$id] ?? null;
            if ($group !== null) {
                if (isset($placed[$block]) && $placed[$block][0] !== $group) {
                    return sprintf(
                        '%s and %s are to be together, but are placed in groups %d and %d.',
                        $names[$placed[$block][1]],
                        $names[$id],
                        $placed[$block][0] + 1,
                        $group + 1,
                    );
                }
                $placed[$block] = [$group, $id];
            }
        }
        foreach ($sizes as $block => $size) {
            if ($plan->most > 0 && $size > $plan->most) {
                return sprintf(
                    '%s are to be together, %d students; a group holds at most %d.',
                    self::listed(array_keys(array_filter($blocks, static fn (int $b): bool => $b === $block)), $names),
                    $size,
                    $plan->most,
                );
            }
        }
        $clique = self::clique($blocks, $plan->apart, $plan->groups + 1);

        return $clique === [] ? null : sprintf(
            '%s are %sto be apart from each other: that needs %d groups, and there %s %d.',
            self::listed($clique, $names),
            count($clique) > 2 ? 'all ' : '',
            count($clique),
            $plan->groups === 1 ? 'is' : 'are',
            $plan->groups,
        );
    }

    /**
     * @param array<string, string> $names
     * @param list<list<string>>    $together
     *
     * @return array<string, int> block by student id; those together share one
     */
    public static function blocks(array $names, array $together): array
    {
        $blocks = [];
        foreach (array_keys($names) as $i => $id) {
            $blocks[$id] = $i;
        }
        foreach ($together as $set) {
            $set = array_values(array_filter($set, static fn (string $id): bool => isset($blocks[$id])));
            foreach (array_slice($set, 1) as $id) {
                [$from, $to] = [$blocks[$id], $blocks[$set[0]]];
                foreach ($blocks as $other => $block) {
                    if ($block === $from) {
                        $blocks[$other] = $to;
                    }
                }
            }
        }

        return $blocks;
    }

    /**
     * So many students of different blocks who are all apart from each other.
     *
     * @param array<string, int>         $blocks
     * @param list<array{string, string}> $apart
     *
     * @return list<string>
     */
    private static function clique(array $blocks, array $apart, int $size): array
    {
        $foes = $who = [];
        foreach ($apart as [$a, $b]) {
            if (isset($blocks[$a], $blocks[$b])) {
                $foes[$blocks[$a]][$blocks[$b]] = $foes[$blocks[$b]][$blocks[$a]] = true;
                $who[$blocks[$a]] ??= $a;
                $who[$blocks[$b]] ??= $b;
            }
        }
        foreach ($foes as $start => $near) {
            $clique = [$start];
            $open = array_keys($near);
            while ($open !== []) {
                usort($open, static fn (int $a, int $b): int => [count($foes[$b]), $a] <=> [count($foes[$a]), $b]);
                $next = array_shift($open);
                $clique[] = $next;
                $open = array_values(array_filter($open, static fn (int $o): bool => isset($foes[$next][$o])));
                if (count($clique) === $size) {
                    sort($clique);

                    return array_map(static fn (int $b): string => $who[$b], $clique);
                }
            }
        }

        return [];
    }

    /**
     * @param list<string>          $ids
     * @param array<string, string> $names
     */
    public static function listed(array $ids, array $names): string
    {
        $last = array_pop($ids);
        $words = array_map(static fn (string $id): string => $names[$id], $ids);

        return $words === [] ? ($names[$last ?? ''] ?? '') : implode(', ', $words).' and '.($names[$last ?? ''] ?? '');
    }
}
