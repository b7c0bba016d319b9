<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use ChalkLadder\Core\Item\ContentWords;
use ChalkLadder\Core\Item\EditDistance;
use ChalkLadder\Core\Item\Folding;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;

/**
 * Puts answers that say the same beside each other, so that they are marked alike. Of most types that is the same answer exactly; of
 * prose, which people write in many ways, what is near it, too.
 *
 * Short answers: equal after folding, then joined when their edit distance allows. Long answers: cosine of TF–IDF
 * vectors of content words (Salton & Buckley 1988, "ntc" weights), joined by average linkage while above a threshold.
 */
final class LookAlike
{
    private const LONG = 6;
    private const NEAR_ENOUGH = 0.34;

    /**
     * Answers to one question that look alike. Where a machine marks them, only those of the same credit: a near miss is to be seen
     * beside what it missed, not inside it.
     *
     * @param list<array{Response, Outcome, string}> $answers each with the credit that counts, in whatever words
     *
     * @return list<non-empty-list<int>> places in the list, the largest set first
     */
    public static function answers(Rule $rule, array $answers): array
    {
        $byCredit = [];
        foreach ($answers as $place => [$response, $outcome, $credit]) {
            $byCredit[$rule->waitsForMarker() ? '' : 'c'.$credit]['a'.$place] = $rule->comparedBy($response, $outcome);
        }
        $sets = [];
        foreach ($byCredit as $texts) {
            foreach ($rule->isProse() ? self::sets($texts) : self::same($texts) as $ids) {
                $sets[] = array_map(static fn (string $id): int => (int) substr($id, 1), $ids);
            }
        }
        $sets = array_values(array_filter($sets, static fn (array $set): bool => $set !== []));
        usort($sets, static fn (array $a, array $b): int => count($b) <=> count($a));

        return $sets;
    }

    /**
     * @param array<string, string> $answers by id
     *
     * @return list<list<string>> ids in sets of what is the same to the letter
     */
    private static function same(array $answers): array
    {
        $sets = [];
        foreach ($answers as $id => $answer) {
            $sets["=$answer"][] = $id;
        }

        return array_values($sets);
    }

    /**
     * @param array<array-key, string> $answers text by id
     *
     * @return list<list<string>> ids in sets, the largest set first; order within and between sets is stable
     */
    public static function sets(array $answers): array
    {
        $folding = new Folding(accents: true);
        $groups = [];
        foreach ($answers as $id => $text) {
            $groups[$folding->fold($text)][] = (string) $id;
        }
        $texts = array_map(strval(...), array_keys($groups));
        $long = $texts !== [] && array_sum(array_map(
            static fn (string $t): int => count(explode(' ', $t)),
            $texts,
        )) / count($texts) > self::LONG;
        $merged = $long ? self::bySubject($texts) : self::bySpelling($texts, $groups);
        $sets = array_map(
            static fn (array $members): array => array_merge(...array_map(static fn (int $i): array => $groups[$texts[$i]], $members)),
            $merged,
        );
        usort($sets, static fn (array $a, array $b): int => count($b) <=> count($a));

        return $sets;
    }

    /**
     * @param list<string>                        $texts
     * @param array<array-key, list<string>>      $groups
     *
     * @return list<non-empty-list<int>>
     */
    private static function bySpelling(array $texts, array $groups): array
    {
        $order = array_keys($texts);
        usort($order, static fn (int $a, int $b): int => [count($groups[$texts[$b]]), $a] <=> [count($groups[$texts[$a]]), $b]);
        $sets = [];
        foreach ($order as $i) {
            foreach ($sets as $s => $members) {
                $allowance = min(EditDistance::allowanceFor($texts[$members[0]]), EditDistance::allowanceFor($texts[$i]));
                // Answers with digits differ by a digit for a reason.
                if ($allowance > 0 && preg_match('/\d/', $texts[$i]) !== 1 && EditDistance::upTo(
                    $texts[$members[0]],
                    $texts[$i],
                    $allowance,
                ) <= $allowance) {
                    $sets[$s] = [...$members, $i];

                    continue 2;
                }
            }
            $sets[] = [$i];
        }

        return array_values($sets);
    }

    /**
     * @param list<string> $texts
     *
     * @return list<non-empty-list<int>>
     */
    private static function bySubject(array $texts): array
    {
        $vectors = self::vectors($texts);
        $n = count($texts);
        $sets = array_map(static fn (int $i): array => [$i], array_keys($texts));
        $near = [];
        for ($i = 0; $i < $n; ++$i) {
            for ($j = 0; $j < $i; ++$j) {
                $near[$i][$j] = $near[$j][$i] = self::cosine($vectors[$i], $vectors[$j]);
            }
        }
        while (count($sets) > 1) {
            $best = self::NEAR_ENOUGH;
            $pair = null;
            foreach ($sets as $a => $_) {
                foreach ($near[$a] ?? [] as $b => $value) {
                    if ($b < $a && $value > $best) {
                        $best = $value;
                        $pair = [$b, $a];
                    }
                }
            }
            if ($pair === null) {
                break;
            }
            [$keep, $gone] = $pair;
            $sizeKeep = count($sets[$keep]);
            $sizeGone = count($sets[$gone]);
            foreach ($sets as $other => $_) {
                if ($other !== $keep && $other !== $gone) {
                    // Lance–Williams update for average linkage.
                    $near[$keep][$other] = $near[$other][$keep] = (($near[$keep][$other]
                        ?? 0.0) * $sizeKeep + ($near[$gone][$other]
                        ?? 0.0) * $sizeGone) / ($sizeKeep + $sizeGone);
                    unset($near[$other][$gone]);
                }
            }
            $sets[$keep] = [...$sets[$keep], ...$sets[$gone]];
            unset($sets[$gone], $near[$gone], $near[$keep][$gone]);
        }

        return array_values($sets);
    }

    /**
     * @param list<string> $texts
     *
     * @return list<array<string, float>> unit vectors
     */
    private static function vectors(array $texts): array
    {
        $counts = [];
        $in = [];
        foreach ($texts as $i => $text) {
            $words = array_filter(explode(' ', $text), ContentWords::isOne(...));
            // A plural or a verb's -s is the same word here.
            $words = array_map(static fn (string $w): string => 'w'.(string) preg_replace('/(?<=\p{L}{3})s$/u', '', $w), $words);
            $counts[$i] = array_count_values($words);
            foreach (array_keys($counts[$i]) as $word) {
                $in[$word] = ($in[$word] ?? 0) + 1;
            }
        }
        $n = count($texts);
        $vectors = [];
        foreach ($counts as $i => $words) {
            $vector = [];
            foreach ($words as $word => $count) {
                $vector[$word] = (1 + log($count)) * log(1 + $n / $in[$word]);
            }
            $length = sqrt(array_sum(array_map(static fn (float $x): float => $x * $x, $vector)));
            $vectors[$i] = $length > 0.0 ? array_map(static fn (float $x): float => $x / $length, $vector) : [];
        }

        return array_values($vectors);
    }

    /**
     * @param array<string, float> $a
     * @param array<string, float> $b
     */
    private static function cosine(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $word => $x) {
            $sum += $x * ($b[$word] ?? 0.0);
        }

        return $sum;
    }
}
