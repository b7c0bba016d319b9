<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;

/** Whether students who get different questions of a section are asked for the same. */
final class DrawingProof
{
    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Defect>
     */
    public static function defects(Section $section, array $items): array
    {
        $drawing = $section->drawing;
        if ($drawing === null) {
            return [];
        }
        $among = $section->drawable();
        $defects = [];
        if (count($among) <= $drawing->count) {
            $defects[] = Defect::advice(sprintf(
                'Section "%s" draws %d of %d: everybody gets all of them.',
                $section->title,
                $drawing->count,
                count($among),
            ), $section->id);
        } elseif (count(array_unique(array_map(static fn (Entry $e): string => (string) $e->points->simplified(), $among))) > 1) {
            $defects[] = Defect::blocking(sprintf(
                'Section "%s" draws from questions that are not worth the same, so that students would have different marks to reach.',
                $section->title,
            ), $section->id);
        }
        $positions = array_column($section->questions(), 'id');
        foreach ($among === [] ? [] : $section->questions() as $entry) {
            foreach (($items[$entry->item ?? ''] ?? null)?->sample()->looksBackTo() ?? [] as $name) {
                if (in_array($positions[(int) substr($name, 1) - 1] ?? '', array_column($among, 'id'), true)) {
                    $defects[] = Defect::blocking(
                        sprintf('A check asks for "%s", which not every student gets. Pin that question.', $name),
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
     * @return list<Defect> for which a route out of the section cannot work
     */
    public static function routeDefects(Section $section, array $items): array
    {
        $among = $section->drawable();
        if ($among === [] || $section->route === null) {
            return [];
        }
        $defects = [];
        $marked = array_column(PaperProof::machineMarked($section, $items), 'id');
        $byMachine = count(array_intersect($marked, array_column($among, 'id')));
        if ($byMachine > 0 && $byMachine < count($among)) {
            $defects[] = Defect::blocking(sprintf(
                'The route after "%s" goes by marks that are known at once, but draws from questions that are marked by hand too.',
                $section->title,
            ), $section->id);
        }
        $positions = array_column($section->questions(), 'id');
        foreach (array_unique(array_merge(...array_map(static fn (RouteExit $e): array => $e->names(), $section->route->exits))) as $name) {
            $asked = preg_match('/^q\d+$/D', $name) === 1 ? $positions[(int) substr($name, 1) - 1] ?? '' : '';
            if (in_array($asked, array_column($among, 'id'), true)) {
                $defects[] = Defect::blocking(sprintf(
                    'The route after "%s" asks for "%s", which not every student gets. Pin that question, or ask for the share.',
                    $section->title,
                    $name,
                ), $section->id);
            }
        }

        return $defects;
    }
}
