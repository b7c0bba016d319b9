<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/** The sections as a directed graph of their ways on, whatever the conditions; an exit with a bound may be gone so often. */
final readonly class RouteGraph
{
    /** @var array<string, array<string, true>> sections that can be come to from each, itself among them */
    private array $reach;

    /** @param array<string, list<array{to: string, rounds: int|null}>> $ways by section, in their order */
    private function __construct(private array $ways)
    {
        $this->reach = array_map(
            fn (string $id): array => array_fill_keys($this->from($id), true),
            array_combine(array_keys($ways), array_map(strval(...), array_keys($ways))),
        );
    }

    public static function of(Paper $paper): self
    {
        $ways = [];
        foreach ($paper->sections as $section) {
            $ways[$section->id] = $section->route === null ? [['to' => $paper->following($section->id), 'rounds' => null]] : [
                ...array_map(static fn (RouteExit $e): array => ['to' => $e->to, 'rounds' => $e->rounds], $section->route->exits),
                ['to' => $section->route->else, 'rounds' => null],
            ];
        }

        return new self($ways);
    }

    /** @return list<int> exits with a bound that can lead back to where they leave */
    public function comingBack(string $section): array
    {
        return array_keys(array_filter(
            $this->ways[$section] ?? [],
            fn (array $w): bool => $w['rounds'] !== null && isset($this->reach[$w['to']][$section]),
        ));
    }

    /**
     * @param (\Closure(string, int): bool)|null $possible whether a section's way can be taken; null: any can
     *
     * @return list<string> sections that can be come to from this one, itself among them
     */
    public function from(string $section, ?\Closure $possible = null): array
    {
        $reached = [];
        $todo = [$section];
        while ($todo !== []) {
            $id = array_pop($todo);
            if (!isset($this->ways[$id]) || isset($reached[$id])) {
                continue;
            }
            $reached[$id] = $id;
            foreach ($this->ways[$id] as $i => $way) {
                if ($possible === null || $possible($id, $i)) {
                    $todo[] = $way['to'];
                }
            }
        }

        return array_values($reached);
    }

    /** @return list<string> the sections that one can come back to from this one and from there back here, itself among them */
    public function together(string $section): array
    {
        return array_values(array_filter(
            array_map(strval(...), array_keys($this->reach[$section] ?? [])),
            fn (string $other): bool => isset($this->reach[$other][$section]),
        ));
    }

    /** At most so many times a student can enter the section: once, and once for each round of an exit within its circles. */
    public function entries(string $section): int
    {
        $circle = $this->together($section);
        $entries = 1;
        foreach ($circle as $id) {
            foreach ($this->ways[$id] as $way) {
                $entries += in_array($way['to'], $circle, true) ? $way['rounds'] ?? 0 : 0;
            }
        }

        return $entries;
    }

    /** @return list<string> the sections of one circle that no bound ends, or none */
    public function endless(): array
    {
        $settled = [];
        $visit = function (string $id, array $trail) use (&$visit, &$settled): array {
            if (!isset($this->ways[$id]) || isset($settled[$id])) {
                return [];
            }
            $at = array_search($id, $trail, true);
            if ($at !== false) {
                return array_slice($trail, (int) $at);
            }
            foreach ($this->ways[$id] as $way) {
                $circle = $way['rounds'] === null ? $visit($way['to'], [...$trail, $id]) : [];
                if ($circle !== []) {
                    return $circle;
                }
            }
            $settled[$id] = true;

            return [];
        };
        foreach (array_keys($this->ways) as $id) {
            /** @var list<string> $circle */
            $circle = $visit((string) $id, []);
            if ($circle !== []) {
                return $circle;
            }
        }

        return [];
    }
}
