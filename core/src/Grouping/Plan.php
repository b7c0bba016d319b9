<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

use ChalkLadder\Core\Document\Node;

/** What groups are asked for. */
final readonly class Plan
{
    public const ALIKE = 'alike';
    public const MIXED = 'mixed';
    public const MISCONCEPTION = 'by misconception';
    public const NEXT = 'by next step';
    public const AIMS = [self::ALIKE, self::MIXED, self::MISCONCEPTION, self::NEXT];
    private const MOST_STUDENTS = 1000;

    /**
     * @param int                        $groups   how many
     * @param int                        $least    students in a group
     * @param int                        $most     students in a group; 0: no bound
     * @param list<array{string, string}> $apart    pairs of student ids
     * @param list<list<string>>         $together sets of student ids
     * @param list<string>               $spread   labels that each group should hold like the whole
     * @param array<string, int>         $fixed    group, from 0, by student id
     */
    public function __construct(
        public int $groups,
        public string $aim = self::ALIKE,
        public int $least = 1,
        public int $most = 0,
        public array $apart = [],
        public array $together = [],
        public array $spread = [],
        public array $fixed = [],
        public string $seed = '1',
    ) {
    }

    /**
     * The same plan but for what is named.
     *
     * @param list<array{string, string}>|null $apart
     * @param list<list<string>>|null          $together
     * @param list<string>|null                $spread
     * @param array<string, int>|null          $fixed
     */
    public function with(
        ?string $aim = null,
        ?int $least = null,
        ?int $most = null,
        ?array $apart = null,
        ?array $together = null,
        ?array $spread = null,
        ?array $fixed = null,
    ): self {
        return new self(
            $this->groups,
            $aim ?? $this->aim,
            $least ?? $this->least,
            $most ?? $this->most,
            $apart ?? $this->apart,
            $together ?? $this->together,
            $spread ?? $this->spread,
            $fixed ?? $this->fixed,
            $this->seed,
        );
    }

    /**
     * From JSON: {"groups": 4} or {"size": 5}, and any of aim, least, most, apart, together, spread, fixed (groups
     * counted from 1), seed.
     *
     * @param int $students how many there are; needed for a size
     */
    public static function read(Node $node, int $students): self
    {
        $size = $node->has('size') ? $node->int('size', 1, self::MOST_STUDENTS) : null;
        $groups = $size === null ? $node->int('groups', 1, self::MOST_STUDENTS) : max(1, (int) ceil($students / $size));
        $pairs = [];
        foreach (self::lists($node, 'apart', 500) as $i => $pair) {
            if (count($pair) !== 2 || $pair[0] === $pair[1]) {
                $node->fault("apart.$i", 'Two different students are kept apart at a time.');
            } else {
                $pairs[] = [$pair[0], $pair[1]];
            }
        }
        $fixed = [];
        $placed = $node->has('fixed') ? $node->child('fixed') : null;
        foreach ($placed?->keys(self::MOST_STUDENTS) ?? [] as $id) {
            $fixed[$id] = ($placed?->int($id, 1, $groups) ?? 1) - 1;
        }
        $plan = new self(
            $groups,
            $node->oneOf('aim', self::AIMS, self::ALIKE),
            $node->int('least', 1, self::MOST_STUDENTS, $size === null ? 1 : max(1, intdiv($students, $groups))),
            $node->int('most', 0, self::MOST_STUDENTS, $size ?? 0),
            $pairs,
            self::lists($node, 'together', 200),
            $node->texts('spread', 5, 60),
            $fixed,
            $node->text('seed', 60, '1'),
        );
        $node->rejectUnknown();

        return $plan;
    }

    /** @return list<list<string>> */
    private static function lists(Node $node, string $key, int $most): array
    {
        return array_map(
            static fn (Node $n): array => $n->ownTexts(self::MOST_STUDENTS, 120),
            $node->has($key) ? $node->children($key, $most) : [],
        );
    }
}
