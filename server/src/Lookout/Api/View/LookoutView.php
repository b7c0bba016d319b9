<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

use ChalkLadder\Server\Handout\Api\View\HandoutView;

final readonly class LookoutView
{
    /**
     * @param int              $live    the last message of the channel that this picture holds
     * @param list<ColumnView> $columns
     * @param list<RowView>    $rows    by name
     * @param list<string>     $rungs   the team's names of its levels, the lowest first
     * @param array<string, string> $classes name of the class, by student
     */
    public function __construct(
        public int $live,
        public HandoutView $handout,
        public array $columns,
        public array $rows,
        public array $rungs,
        public array $classes,
    ) {
    }
}
