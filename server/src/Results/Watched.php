<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Watching;
use ChalkLadder\Core\Sitting\Played;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Kind;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\StretchView;
use ChalkLadder\Server\Results\Api\View\WatchedAllView;
use ChalkLadder\Server\Results\Api\View\WatchedStudentView;
use ChalkLadder\Server\Results\Api\View\WatchedView;
use ChalkLadder\Server\Sitting\ReadModel\Playing;

/** What of a handout's sounds and films was played by those who handed in, over all their attempts. */
final readonly class Watched
{
    public function __construct(private Handouts $handouts, private Counting $counting, private Playing $playing, private Files $files)
    {
    }

    /** @param string $class name of the class to which it is limited, or '' */
    public function show(string $teamId, string $handoutId, string $class = ''): WatchedAllView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $titles = self::titles($handout);
        $kinds = [];
        foreach ($this->files->about($teamId, array_keys($titles)) as $file) {
            if (in_array($file->kind, [Kind::Sound->value, Kind::Film->value], true)) {
                $kinds[$file->id] = $file->kind;
            }
        }
        $students = $kinds === [] ? [] : $this->counting->columns($handout, $class)->students;
        $played = $students === [] ? [] : $this->playing->ofHandout($handoutId);
        $views = [];
        foreach ($kinds as $file => $kind) {
            $views[] = self::view($file, $titles[$file], $kind, $students, $played[$file] ?? []);
        }

        return new WatchedAllView($views);
    }

    /**
     * @param list<CountedStudent>        $students
     * @param array<string, list<Played>> $played   by student
     */
    private static function view(string $file, string $title, string $kind, array $students, array $played): WatchedView
    {
        $report = Watching::of(array_map(static fn (CountedStudent $s): array => $played[$s->studentId] ?? [], $students));

        return new WatchedView(
            $file,
            $title,
            $kind,
            $report->seconds ?? 0.0,
            $report->part ?? 1,
            $report->shares ?? [],
            $report->times ?? [],
            FigureView::of($report->through ?? Watching::none(count($students))),
            array_map(
                static fn (array $s): StretchView => new StretchView($s['from'], $s['to'], $s['times']),
                $report->again ?? [],
            ),
            array_map(static fn (CountedStudent $s, int $i): WatchedStudentView => new WatchedStudentView(
                $s->studentId,
                $s->name,
                $report->students[$i]['share'] ?? 0.0,
                $report->students[$i]['times'] ?? 0.0,
                $report->students[$i]['until'] ?? 0.0,
            ), $students, array_keys($students)),
        );
    }

    /** @return array<string, string> title of the source, by its file, in the order of the paper */
    private static function titles(HandedOut $handout): array
    {
        $titles = [];
        foreach ($handout->edition->paper()->sections as $section) {
            foreach ($section->entries as $entry) {
                if ($entry->source?->file !== null) {
                    $titles[$entry->source->file] = $entry->source->title;
                }
            }
        }

        return $titles;
    }
}
