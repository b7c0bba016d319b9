<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What the variables of a question come to. */
final readonly class DrawsView
{
    /**
     * @param int            $combinations of the variables' domains
     * @param int            $looked       of them, spread evenly
     * @param list<string>   $formulas     as they are written in texts and rule
     * @param list<DrawView> $draws        those looked at that keep the constraints
     */
    public function __construct(public int $combinations, public int $looked, public array $formulas, public array $draws)
    {
    }
}
