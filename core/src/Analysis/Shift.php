<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * What moved between two counts of one question, over those who picked something at both: a plain two-way table of picks that are just
 * the key against others.
 */
final readonly class Shift
{
    public function __construct(public int $toKey, public int $fromKey, public int $keptKey, public int $keptOther)
    {
    }

    /**
     * @param array<string, list<string>> $first ids of what each picked before, by student
     * @param array<string, list<string>> $now   the same afterwards
     * @param list<string>                $keys  ids of what is right
     */
    public static function between(array $first, array $now, array $keys): self
    {
        sort($keys);
        $isKey = static function (array $picks) use ($keys): bool {
            sort($picks);

            return $picks === $keys;
        };
        $n = ['toKey' => 0, 'fromKey' => 0, 'keptKey' => 0, 'keptOther' => 0];
        foreach (array_intersect_key($first, $now) as $student => $picks) {
            [$before, $after] = [$isKey($picks), $isKey($now[$student])];
            ++$n[match (true) {
                $before && $after => 'keptKey',
                $before => 'fromKey',
                $after => 'toKey',
                default => 'keptOther',
            }];
        }

        return new self($n['toKey'], $n['fromKey'], $n['keptKey'], $n['keptOther']);
    }
}
