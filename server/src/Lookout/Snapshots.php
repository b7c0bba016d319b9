<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Handout\ReadModel\ClassOfStudents;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Lookout\Api\View\ColumnView;
use ChalkLadder\Server\Lookout\Api\View\LookoutView;
use ChalkLadder\Server\Lookout\ReadModel\LookoutRows;
use ChalkLadder\Server\Platform\Live\Push;

/** The whole picture of a running handout, as it is when somebody asks. */
final readonly class Snapshots
{
    public function __construct(
        private Handouts $handouts,
        private LookoutRows $rows,
        private Teams $teams,
        private ClassOfStudents $classes,
        private Push $push,
    ) {
    }

    public function take(string $teamId, string $handoutId): LookoutView
    {
        // Before anything else is read: what comes later is told by a message.
        $live = $this->push->last(Push::teachers($handoutId));
        $view = $this->handouts->show($teamId, $handoutId);
        $handout = $this->handouts->find($teamId, $handoutId);
        $edition = $handout->edition;
        $rungs = $this->teams->rungs($teamId);
        $numbers = $edition->numbers();
        $columns = [];
        foreach ($edition->paper()->sections as $section) {
            foreach ($section->questions() as $entry) {
                $item = $edition->item($entry->id);
                $columns[] = new ColumnView(
                    $entry->id,
                    $numbers[$entry->id],
                    $edition->title($entry->id),
                    $section->title,
                    $entry->points->toFloat(),
                    $item?->type()->value ?? '',
                    OneQuestion::keyless($item),
                );
            }
        }

        return new LookoutView(
            $live,
            $view,
            $columns,
            $this->rows->all($handout, $rungs),
            array_column($rungs->bands, 'name'),
            $this->classes->now($handoutId),
        );
    }
}
