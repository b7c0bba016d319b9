<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Item\ItemTemplate;

/**
 * The ways on from one section, and which of them can be taken. Patterns of marks are taken as they come: what a student had in an
 * earlier round is not held against the next, so that a way said to be possible may need marks that fall; one said to be impossible
 * is.
 */
final readonly class SectionExits
{
    private const TRIES = 8000;

    /**
     * @param non-empty-list<string> $to       where each leads
     * @param list<list<int>>        $meet     each set of exits whose conditions some pattern meets together, once
     * @param int                    $patterns of marks that were looked at
     * @param bool                   $exact    whether these are all
     */
    private function __construct(public array $to, private array $meet, private int $patterns, private bool $exact)
    {
    }

    /** @param array<string, ItemTemplate> $items by bank id */
    public static function of(Paper $paper, Section $section, array $items): self
    {
        $route = $section->route;
        if ($route === null) {
            return new self([$paper->following($section->id)], [[]], 1, true);
        }
        $named = array_merge(...array_map(static fn (RouteExit $e): array => $e->names(), $route->exits));
        $space = ScoreSpace::of($section, $items, $paper->mastery, $named, self::most($paper));
        $meet = [];
        foreach ($space->patterns as $pattern) {
            $held = array_keys(array_filter($route->exits, static fn (RouteExit $e): bool => $e->holds($pattern)));
            $meet[implode(',', $held)] = $held;
        }

        return new self($route->targets(), array_values($meet), count($space->patterns), $space->exact);
    }

    /** Patterns that each section is given: all conditions of a paper are tried together no more often than {@see TRIES}. */
    private static function most(Paper $paper): int
    {
        $exits = array_sum(array_map(static fn (Section $s): int => count($s->route->exits ?? []), $paper->sections));

        return max(2, min(ScoreSpace::MOST, intdiv(self::TRIES, max(1, $exits))));
    }

    /** The same where nothing is asked about marks: every way is one that some student takes. */
    public static function whatever(Paper $paper, Section $section): self
    {
        $route = $section->route;

        return $route === null ? self::of($paper, $section, []) : new self(
            $route->targets(),
            [[], ...array_map(static fn (int $i): array => [$i], array_keys($route->exits))],
            0,
            false,
        );
    }

    /**
     * Which ways some student can take.
     *
     * @param list<int> $used exits that have been taken as often as they may
     *
     * @return list<int> their places, ascending
     */
    public function possible(array $used = []): array
    {
        $ways = [];
        foreach ($this->meet as $held) {
            $ways[array_values(array_diff($held, $used))[0] ?? count($this->to) - 1] = true;
        }
        ksort($ways);

        return array_keys($ways);
    }

    /**
     * @param list<int> $mayBeUsedUp exits with a bound that lead back here, so that a student can come to the ways below them
     *
     * @return list<ExitProof> of each way, the last among them
     */
    public function proofs(array $mayBeUsedUp): array
    {
        $taken = [];
        foreach ($this->meet as $held) {
            foreach ([...$held, count($this->to) - 1] as $way) {
                $taken[$way] = true;
                if (!in_array($way, $mayBeUsedUp, true)) {
                    break;
                }
            }
        }
        $met = array_merge([count($this->to) - 1], ...$this->meet);

        return array_map(fn (string $to, int $way): ExitProof => new ExitProof($to, match (true) {
            isset($taken[$way]) => count($taken) === 1 ? ExitProof::ALWAYS : ExitProof::MAY,
            in_array($way, $met, true) => ExitProof::TAKEN_ABOVE,
            default => ExitProof::NEVER,
        }, $this->exact, $this->patterns), $this->to, array_keys($this->to));
    }
}
