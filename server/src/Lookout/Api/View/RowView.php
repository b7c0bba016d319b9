<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Sitting\Api\View\CallView;

/** One student in the Lookout: whose newest attempt this is, where they are, how their answers stand. */
final readonly class RowView
{
    /**
     * @param array<string, CellView> $cells  by entry id, the latest try each
     * @param string                  $state  expected, open, handed in, marked, returned
     * @param list<string>            $route  entries that the student has been led to
     * @param bool                    $held   they are to stop
     * @param string|null             $dueAt  when the time that they have of their own is over
     * @param CallView|null           $call   what they ask of the teacher, while it waits
     * @param string|null             $openedAt when they began
     * @param string|null             $stirredAt when they last entered something, or began
     * @param int                     $left   how often they left the full screen, where that is told
     * @param int                     $leftFor seconds in all
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public ?string $sittingId,
        public string $state,
        public int $attempt,
        public int $revision,
        public ?string $at,
        public array $cells,
        public array $route,
        public float $marks,
        public float $of,
        public int $rung,
        public int $extraMinutes,
        public bool $held,
        public ?string $dueAt,
        public ?CallView $call,
        public ?string $openedAt,
        public ?string $stirredAt,
        public int $left,
        public int $leftFor,
    ) {
    }
}
