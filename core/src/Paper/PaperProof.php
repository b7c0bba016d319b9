<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;

/**
 * What can be said of a paper before anybody sits it: its defects, and the range of lengths and points over all routes.
 *
 * Routes form a graph over sections. Since a route depends on the credit of its own section alone, every exit whose
 * condition can hold is possible; so reachability and cycles are decided exactly by walking the graph.
 */
final readonly class PaperProof
{
    /**
     * @param list<Defect>                    $defects
     * @param array{BigRational, BigRational} $points  least and most over all routes
     * @param array{int, int}                 $length  least and most number of questions over all routes
     */
    private function __construct(public array $defects, public array $points, public array $length)
    {
    }

    /** @param array<string, ItemTemplate> $items the questions by bank id; one that is missing is a defect */
    public static function of(Paper $paper, array $items): self
    {
        $defects = [];
        if (trim($paper->title) === '') {
            $defects[] = Defect::blocking('The paper has no title.');
        }
        if ($paper->questions() === []) {
            $defects[] = Defect::blocking('The paper has no question yet.');
        }
        foreach ($paper->questions() as $entry) {
            $item = $items[$entry->item ?? ''] ?? null;
            if ($item === null) {
                $defects[] = Defect::blocking('This question is no longer in the bank.', $entry->id);

                continue;
            }
            foreach ($item->withPoints($entry->points)->defects() as $defect) {
                $defects[] = $defect->at($entry->id);
            }
        }
        foreach ($paper->sections as $section) {
            array_push($defects, ...self::lookBackDefects($section, $items));
        }
        foreach ($paper->sections as $section) {
            if ($section->questions() === [] && count($paper->sections) > 1) {
                $defects[] = Defect::advice(sprintf('Section "%s" has no question.', $section->title), $section->id);
            }
            array_push($defects, ...self::routeDefects($paper, $section, $items));
        }
        foreach (array_diff(array_map(static fn (Section $s): string => $s->id, $paper->sections), self::reached($paper, $items)) as $id) {
            $defects[] = Defect::blocking(sprintf('Section "%s" is never reached.', $paper->section($id)->title ?? $id), $id);
        }
        $circle = self::circle($paper);
        if ($circle !== []) {
            $names = implode(
                ' → ',
                array_map(static fn (string $id): string => '"'.($paper->section($id)->title ?? $id).'"', [...$circle, $circle[0]]),
            );
            $defects[] = Defect::blocking('These routes go round without end: '.$names.'.', $circle[0]);

            return new self($defects, [BigRational::zero(), BigRational::zero()], [0, 0]);
        }
        [$least, $most, $short, $long] = self::extent($paper);

        return new self($defects, [$least, $most], [$short, $long]);
    }

    /** @return array{BigRational, BigRational, int, int} least and most points, least and most questions over all routes; zeros where routes go round */
    public static function extent(Paper $paper): array
    {
        return $paper->sections === [] || self::circle($paper) !== [] ? [
            BigRational::zero(),
            BigRational::zero(),
            0,
            0,
        ] : self::range($paper, $paper->sections[0]->id);
    }

    /** Whether some way through the paper never ends. */
    public static function goesRound(Paper $paper): bool
    {
        return self::circle($paper) !== [];
    }

    public function mayPublish(): bool
    {
        foreach ($this->defects as $defect) {
            if ($defect->blocks) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Defect>
     */
    private static function routeDefects(Paper $paper, Section $section, array $items): array
    {
        $route = $section->route;
        if ($route === null) {
            return [];
        }
        $defects = [];
        foreach (array_unique([$route->then, $route->else]) as $target) {
            if ($target !== Route::END && $paper->section($target) === null) {
                $defects[] = Defect::blocking(
                    sprintf('The route after "%s" leads to a section that does not exist.', $section->title),
                    $section->id,
                );
            }
        }
        if (self::machineMarked($section, $items) === []) {
            $defects[] = Defect::blocking(
                sprintf('The route after "%s" needs at least one question that is marked at once.', $section->title),
                $section->id,
            );
        }
        foreach ($route->unknownNames(count($section->questions())) as $name) {
            $defects[] = Defect::blocking(
                sprintf('The route after "%s" asks for "%s", which nothing gives a value to.', $section->title, $name),
                $section->id,
            );
        }
        if ($route->then === $route->else) {
            $defects[] = Defect::advice(sprintf('Both exits after "%s" lead to the same place.', $section->title), $section->id);
        } elseif ($route->neverBelow()) {
            $defects[] = Defect::advice(
                sprintf('Nobody can be below 0 %% in "%s", so its first exit is never taken.', $section->title),
                $section->id,
            );
        }

        return $defects;
    }

    /**
     * A check may ask for earlier questions of its section alone.
     *
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Defect>
     */
    private static function lookBackDefects(Section $section, array $items): array
    {
        $defects = [];
        foreach (array_values($section->questions()) as $i => $entry) {
            foreach (($items[$entry->item ?? ''] ?? null)?->sample()->looksBackTo() ?? [] as $name) {
                if ((int) substr($name, 1) > $i) {
                    $defects[] = Defect::blocking(
                        sprintf(
                            'A check asks for "%s", but this is question %d of "%s": only questions before it can be asked for.',
                            $name,
                            $i + 1,
                            $section->title,
                        ),
                        $entry->id,
                    );
                }
            }
        }

        return $defects;
    }

    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Entry>
     */
    private static function machineMarked(Section $section, array $items): array
    {
        return array_values(array_filter($section->questions(), static function (Entry $e) use ($items): bool {
            $item = $items[$e->item ?? ''] ?? null;

            return $item !== null && !$item->sample()->rule->waitsForMarker() && $e->points->isGreaterThan(0);
        }));
    }

    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<string>
     */
    private static function reached(Paper $paper, array $items): array
    {
        $reached = [];
        $todo = $paper->sections === [] ? [] : [$paper->sections[0]->id];
        while ($todo !== []) {
            $id = array_pop($todo);
            $section = $paper->section($id);
            if ($section === null || isset($reached[$id])) {
                continue;
            }
            $reached[$id] = $id;
            $exits = $paper->exits($section);
            if ($section->route !== null && $section->route->neverBelow() && self::machineMarked($section, $items) !== []) {
                $exits = [$section->route->else];
            }
            array_push($todo, ...$exits);
        }

        return array_values($reached);
    }

    /** @return list<string> the ids of one circle of routes, or none */
    private static function circle(Paper $paper): array
    {
        /** @var array<string, bool> $state false while open, true when settled */
        $state = [];
        $visit = static function (string $id, array $trail) use (&$visit, &$state, $paper): array {
            $section = $paper->section($id);
            if ($section === null || ($state[$id] ?? false)) {
                return [];
            }
            $at = array_search($id, $trail, true);
            if ($at !== false) {
                return array_slice($trail, (int) $at);
            }
            $state[$id] = false;
            foreach ($paper->exits($section) as $exit) {
                $circle = $visit($exit, [...$trail, $id]);
                if ($circle !== []) {
                    return $circle;
                }
            }
            $state[$id] = true;

            return [];
        };
        foreach ($paper->sections as $section) {
            /** @var list<string> $circle */
            $circle = $visit($section->id, []);
            if ($circle !== []) {
                return $circle;
            }
        }

        return [];
    }

    /**
     * Least and most points and questions from a section to the end; the graph has no circle here.
     *
     * @param array<string, array{BigRational, BigRational, int, int}> $known
     *
     * @return array{BigRational, BigRational, int, int}
     */
    private static function range(Paper $paper, string $id, array &$known = []): array
    {
        $section = $paper->section($id);
        if ($section === null) {
            return [BigRational::zero(), BigRational::zero(), 0, 0];
        }
        if (isset($known[$id])) {
            return $known[$id];
        }
        $own = array_reduce(
            $section->questions(),
            static fn (BigRational $sum, Entry $e): BigRational => $sum->plus($e->points),
            BigRational::zero(),
        )->simplified();
        $count = count($section->questions());
        $rest = null;
        foreach ($paper->exits($section) as $exit) {
            $way = self::range($paper, $exit, $known);
            $rest = $rest === null ? $way : [
                $way[0]->isLessThan($rest[0]) ? $way[0] : $rest[0],
                $way[1]->isGreaterThan($rest[1]) ? $way[1] : $rest[1],
                min($way[2], $rest[2]),
                max($way[3], $rest[3]),
            ];
        }
        $rest ??= [BigRational::zero(), BigRational::zero(), 0, 0];

        return $known[$id] = [$own->plus($rest[0])->simplified(), $own->plus($rest[1])->simplified(), $count + $rest[2], $count + $rest[3]];
    }
}
