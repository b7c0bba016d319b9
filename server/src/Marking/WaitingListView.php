<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

final readonly class WaitingListView
{
    /**
     * @param list<WaitingView> $questions
     * @param int               $waiting answers, over all questions
     * @param list<ReadyView>   $handouts what may go back to students and what is back; empty for those who may not return work
     */
    public function __construct(public array $questions, public int $waiting, public array $handouts)
    {
    }
}
