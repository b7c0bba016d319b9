<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Draw;

/**
 * How many of a section's questions each student gets, and what they are spread over. Which ones is decided by the student's seed alone.
 *
 * Drawn systematically with a random start from a list in which questions of a kind stand together (Cochran, Sampling Techniques, 3rd
 * edition 1977, chapter 8): each question is as likely as any other, and each kind has its share of the draw to within one question.
 */
final readonly class Drawing
{
    public const BY_CHANCE = 'chance';
    public const BY_SKILL = 'skill';
    public const BY_DIFFICULTY = 'difficulty';
    public const MOST = 100;

    /** @param array<string, string> $kinds what each question counts as, by entry; those that are absent are of one kind */
    public function __construct(public int $count, public string $by = self::BY_CHANCE, public array $kinds = [])
    {
    }

    public static function read(Node $node): self
    {
        $count = $node->int('count', 1, self::MOST);
        $by = $node->oneOf('by', [self::BY_CHANCE, self::BY_SKILL, self::BY_DIFFICULTY]);
        $kinds = $node->has('kinds') ? $node->textMap('kinds', self::MOST, 40) : [];
        $node->rejectUnknown();

        return new self($count, $by, $kinds);
    }

    /** @param array<string, string> $kinds by entry */
    public function knowing(array $kinds): self
    {
        return new self($this->count, $this->by, $kinds);
    }

    /**
     * @param list<string> $ids   of those that can be drawn, in written order
     * @param string       $place where it is drawn, so that one seed draws otherwise elsewhere
     *
     * @return list<string> those that are drawn, in written order
     */
    public function of(array $ids, string $seed, string $place): array
    {
        $n = count($ids);
        $k = min($this->count, $n);
        $byKind = [];
        foreach (Draw::order($ids, $seed, $place.'.drawn') as $id) {
            $byKind[$this->kinds[$id] ?? ''][] = $id;
        }
        $line = array_merge(...array_map(
            static fn (string $kind): array => $byKind[$kind],
            Draw::order(array_map(strval(...), array_keys($byKind)), $seed, $place.'.kinds'),
        ));
        $start = $n === 0 ? 0 : Draw::order(range(0, $n - 1), $seed, $place.'.start')[0];
        $drawn = [];
        for ($i = 0; $i < $k; ++$i) {
            $drawn[] = $line[intdiv($start + $i * $n, $k)];
        }

        return array_values(array_intersect($ids, $drawn));
    }

    /**
     * How many of some questions every student is sure to get.
     *
     * @param list<string> $some of `$all`
     * @param list<string> $all  those that can be drawn
     */
    public function least(array $some, array $all): int
    {
        $n = count($all);
        $k = min($this->count, $n);
        $of = $wanted = [];
        foreach ($all as $id) {
            $kind = $this->kinds[$id] ?? '';
            $of[$kind] = ($of[$kind] ?? 0) + 1;
            $wanted[$kind] = ($wanted[$kind] ?? 0) + (in_array($id, $some, true) ? 1 : 0);
        }

        // Of each kind at least its whole share is drawn, and no more of the others than there are.
        return array_sum(array_map(
            static fn (int $m, int $w): int => max(0, intdiv($k * $m, $n) - ($m - $w)),
            array_values($of),
            array_values($wanted),
        ));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['count' => $this->count, 'by' => $this->by] + ($this->kinds === [] ? [] : ['kinds' => $this->kinds]);
    }
}
