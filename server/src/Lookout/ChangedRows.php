<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Lookout\ReadModel\LookoutRows;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Sitting\SittingChanged;

/** Draws rows anew for the screens that watch. */
final readonly class ChangedRows
{
    public function __construct(
        private Handouts $handouts,
        private LookoutRows $rows,
        private Teams $teams,
        private Push $push,
    ) {
    }

    /** @param array<string, SittingChanged> $all by sitting */
    public function send(array $all): void
    {
        foreach ($all as $changed) {
            $team = $this->rows->team($changed->handoutId);
            $handout = $team === null ? null : $this->handouts->find($team, $changed->handoutId);
            $row = $handout === null ? null : $this->rows->one($handout, $this->teams->rungs($handout->teamId), $changed->sittingId);
            if ($row !== null) {
                $this->push->send(Push::teachers($changed->handoutId), ['kind' => 'row', 'row' => $row]);
            }
        }
    }
}
