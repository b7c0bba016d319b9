<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Rungs;

/** Forms groups from results. Every student is in exactly one group; empty groups are left out. */
final class Regroup
{
    /**
     * Students on the same rung together, the lowest rung first.
     *
     * @param list<Student> $students
     *
     * @return list<Group>
     */
    public static function byRung(array $students, Rungs $rungs): array
    {
        $groups = [];
        foreach ($rungs->bands as $i => $band) {
            $members = [];
            foreach ($students as $student) {
                if ($rungs->reached($student->share) === $i + 1) {
                    $members[$student->id] = sprintf(
                        '%s of the marks, which is %s.',
                        self::percent($student->share),
                        self::band($rungs, $i),
                    );
                }
            }
            if ($members !== []) {
                $groups[] = new Group(ucfirst($band['name']), '', $members);
            }
        }

        return $groups;
    }

    /**
     * Students who most likely share one wrong idea together; who shows none, or none that enough others share, last.
     *
     * Greedy and deterministic: each student starts with the idea of the highest posterior mean; ideas with fewer than
     * `$least` students are given up from the smallest, and their students move to their next idea.
     *
     * @param list<Student>         $students
     * @param array<string, string> $names    of misconceptions by id
     *
     * @return list<Group>
     */
    public static function byMisconception(array $students, array $names, int $least = 3): array
    {
        $open = $names;
        do {
            $placed = self::place($students, $open);
            $sizes = array_map(count(...), $placed);
            unset($sizes['']);
            asort($sizes);
            $smallest = array_key_first($sizes);
            $tooSmall = $smallest !== null && $sizes[$smallest] < $least;
            if ($tooSmall) {
                unset($open[$smallest]);
            }
        } while ($tooSmall);
        arsort($sizes);
        $groups = [];
        foreach (array_keys($sizes) as $id) {
            $members = [];
            foreach ($placed[$id] as $student) {
                $e = $student->evidence[$id];
                $members[$student->id] = sprintf(
                    'Showed this idea %d of %d %s%s.',
                    $e->shown,
                    $e->offered,
                    $e->offered === 1 ? 'time' : 'times',
                    $e->likely ? '' : ', which is thin evidence',
                );
            }
            $groups[] = new Group($names[$id], (string) $id, $members);
        }
        $rest = [];
        foreach ($placed[''] ?? [] as $student) {
            $shown = array_filter($student->evidence, static fn (Evidence $e): bool => $e->shown > 0);
            $rest[$student->id] = $shown === []
                ? sprintf('Showed no listed wrong idea; %s of the marks.', self::percent($student->share))
                : sprintf('Showed "%s", which fewer than %d others share.', $names[array_key_first($shown)] ?? 'another idea', $least);
        }
        if ($rest !== []) {
            $groups[] = new Group('No shared misconception', '', $rest);
        }

        return $groups;
    }

    /**
     * @param list<Student>         $students
     * @param array<string, string> $open
     *
     * @return array<string, list<Student>>
     */
    private static function place(array $students, array $open): array
    {
        $placed = [];
        foreach ($students as $student) {
            $best = '';
            foreach (array_intersect_key($student->evidence, $open) as $id => $evidence) {
                $rival = $best === '' ? null : $student->evidence[$best];
                if ($evidence->shown > 0 && ($rival === null || [
                    $evidence->rate->value,
                    $evidence->shown,
                ] > [$rival->rate->value, $rival->shown])) {
                    $best = (string) $id;
                }
            }
            $placed[$best][] = $student;
        }

        return $placed;
    }

    private static function percent(float $share): string
    {
        return sprintf('%d %%', (int) round(100 * $share));
    }

    private static function band(Rungs $rungs, int $i): string
    {
        $next = $rungs->bands[$i + 1] ?? null;
        $from = self::percent($rungs->bands[$i]['from']);

        return $rungs->bands[$i]['name'].' ('.($next === null
            ? 'from '.$from
            : ($i === 0 ? 'below '.self::percent($next['from']) : $from.' to '.self::percent($next['from'])))
            .')';
    }
}
