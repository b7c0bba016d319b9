<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;

/**
 * What can be said of a paper before anybody sits it: its defects, what becomes of each exit, and the range of lengths and points over
 * all routes.
 *
 * Routes form a graph over sections. A route depends on the credit of its own section alone; which of its exits can be taken is found
 * over all patterns of marks that students can have there ({@see ScoreSpace}), so reachability is decided by walking the graph along
 * those. A circle needs an exit with a bound on rounds, whatever the marks: a key that is mended later must not make it endless.
 */
final readonly class PaperProof
{
    /** How often one student may be asked one question. */
    public const MOST_TRIES = 9;

    /**
     * @param list<Defect>                    $defects
     * @param array{BigRational, BigRational} $points  least and most over all routes, each question once
     * @param array{int, int}                 $length  least and most number of questions over all routes, those of each round again
     * @param array<string, list<ExitProof>>  $exits   by section that a sound route leaves, in their order
     */
    private function __construct(public array $defects, public array $points, public array $length, public array $exits)
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
                $defects[] = Defect::blocking('This question is no longer in the bank.', $entry->id)->mendedBy(Defect::TAKE_OUT);

                continue;
            }
            foreach ($item->withPoints($entry->points)->defects() as $defect) {
                $defects[] = $defect->at($entry->id);
            }
        }
        foreach ($paper->sections as $section) {
            foreach ($section->questions() as $entry) {
                $fault = $section->anchorFault($entry->id);
                if ($fault !== null) {
                    $defects[] = Defect::advice($fault, $entry->id);
                }
            }
            array_push($defects, ...self::lookBackDefects($section, $items), ...DrawingProof::defects($section, $items));
        }
        $graph = RouteGraph::of($paper);
        $ways = $exits = [];
        foreach ($paper->sections as $section) {
            $ways[$section->id] = SectionExits::of($paper, $section, $items);
            if ($section->questions() === [] && count($paper->sections) > 1) {
                $bare = Defect::advice(sprintf('Section "%s" has no question.', $section->title), $section->id);
                // What stands in it to be read is not for a press to throw away.
                $defects[] = $section->entries === [] ? $bare->mendedBy(Defect::TAKE_SECTION_OUT) : $bare;
            }
            // What a route that cannot work yet would do says nothing of the paper.
            $faults = self::routeFaults($paper, $section, $items);
            array_push($defects, ...$faults);
            if ($section->route !== null && $faults === []) {
                $exits[$section->id] = $ways[$section->id]->proofs($graph->comingBack($section->id));
                array_push($defects, ...self::exitAdvice($paper, $section, $exits[$section->id]));
            } else {
                $ways[$section->id] = SectionExits::whatever($paper, $section);
            }
        }
        $possible = static fn (string $id, int $way): bool => ($exits[$id][$way] ?? null)?->isPossible() ?? true;
        $first = $paper->sections[0]->id ?? Route::END;
        foreach (array_diff(array_column($paper->sections, 'id'), $graph->from($first, $possible)) as $id) {
            $defects[] = Defect::blocking(sprintf('Section "%s" is never reached.', $paper->section($id)->title ?? $id), $id);
        }
        array_push($defects, ...self::roundDefects($paper, $graph), ...MasteryProof::defects($paper, $items));
        [$least, $most, $short, $long] = self::range($paper, $graph, $ways);

        return new self($defects, [$least, $most], [$short, $long], $exits);
    }

    /**
     * @return array{BigRational, BigRational, int, int} least and most points, least and most questions over all routes, whatever the
     *                                                   marks; zeros where routes go round without end
     */
    public static function extent(Paper $paper): array
    {
        $ways = [];
        foreach ($paper->sections as $section) {
            $ways[$section->id] = SectionExits::whatever($paper, $section);
        }

        return self::range($paper, RouteGraph::of($paper), $ways);
    }

    /** Whether some way through the paper never ends. */
    public static function goesRound(Paper $paper): bool
    {
        return RouteGraph::of($paper)->endless() !== [];
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
     * @param array<string, SectionExits> $ways
     *
     * @return array{BigRational, BigRational, int, int}
     */
    private static function range(Paper $paper, RouteGraph $graph, array $ways): array
    {
        $found = Extent::of($paper, $graph, $ways);
        if ($found !== null) {
            return $found;
        }
        if ($graph->endless() !== []) {
            return [BigRational::zero(), BigRational::zero(), 0, 0];
        }
        // Too tangled to go every way: it is no more than this.
        $long = 0;
        $most = BigRational::zero();
        foreach ($paper->sections as $section) {
            $long += $section->length() * $graph->entries($section->id);
            $most = $most->plus($section->points()[1]);
        }

        return [BigRational::zero(), $most->simplified(), 0, $long];
    }

    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Defect> for which the route cannot work
     */
    private static function routeFaults(Paper $paper, Section $section, array $items): array
    {
        $route = $section->route;
        if ($route === null) {
            return [];
        }
        $defects = [];
        foreach (array_unique($route->targets()) as $target) {
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
        foreach ($route->exits as $exit) {
            if ($exit->fault !== '') {
                $defects[] = Defect::blocking(
                    sprintf('A condition after "%s" cannot be read: %s', $section->title, $exit->fault),
                    $section->id,
                );
            }
        }
        array_push($defects, ...DrawingProof::routeDefects($section, $items));
        foreach ($route->unknownNames(count($section->questions())) as $name) {
            $defects[] = Defect::blocking(
                sprintf('The route after "%s" asks for "%s", which nothing gives a value to.', $section->title, $name),
                $section->id,
            );
        }

        return $defects;
    }

    /**
     * @param list<ExitProof> $exits
     *
     * @return list<Defect>
     */
    private static function exitAdvice(Paper $paper, Section $section, array $exits): array
    {
        $defects = [];
        if (count($exits) === 1) {
            return [];
        }
        if (count(array_unique(array_column($exits, 'to'))) === 1) {
            return [Defect::advice(sprintf('All exits after "%s" lead to the same place.', $section->title), $section->id)
                ->mendedBy(Defect::ONE_WAY)];
        }
        foreach ($exits as $exit) {
            $to = $exit->to === Route::END ? 'the end' : '"'.($paper->section($exit->to)->title ?? $exit->to).'"';
            $says = match ($exit->says) {
                ExitProof::NEVER => 'The exit after "%s" to %s is never taken: no marks meet its condition.',
                ExitProof::TAKEN_ABOVE => 'The exit after "%s" to %s is never taken: whoever would go there has gone another way before.',
                ExitProof::ALWAYS => 'Everybody goes from "%s" to %s, whatever their marks.',
                ExitProof::MAY => '',
            };
            if ($says !== '') {
                $defects[] = Defect::advice(
                    sprintf($says, $section->title, $to).($exit->exact ? '' : sprintf(' (Looked at %d patterns of marks, not at all.)', $exit->patterns)),
                    $section->id,
                );
            }
        }

        return $defects;
    }

    /** @return list<Defect> */
    private static function roundDefects(Paper $paper, RouteGraph $graph): array
    {
        $name = static fn (string $id): string => '"'.($paper->section($id)->title ?? $id).'"';
        $circle = $graph->endless();
        if ($circle !== []) {
            return [Defect::blocking(sprintf(
                'These routes go round without end: %s. Give one of their exits a number of rounds.',
                implode(' → ', array_map($name, [...$circle, $circle[0]])),
            ), $circle[0])->mendedBy(Defect::ROUNDS)];
        }
        $defects = [];
        foreach ($paper->sections as $section) {
            $tries = (($paper->mastery->returns ?? 0) + 1) * $graph->entries($section->id);
            if ($tries > self::MOST_TRIES && $section->questions() !== []) {
                $defects[] = Defect::blocking(sprintf(
                    'One student could be asked the questions of %s %d times; at most %d are kept. Allow fewer rounds or returns.',
                    $name($section->id),
                    $tries,
                    self::MOST_TRIES,
                ), $section->id);
            }
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
     * @return list<Entry> questions of the section that a machine marks and that are worth something
     */
    public static function machineMarked(Section $section, array $items): array
    {
        return array_values(array_filter($section->questions(), static function (Entry $e) use ($items): bool {
            $item = $items[$e->item ?? ''] ?? null;

            return $item !== null && !$item->sample()->rule->waitsForMarker() && $e->points->isGreaterThan(0);
        }));
    }
}
