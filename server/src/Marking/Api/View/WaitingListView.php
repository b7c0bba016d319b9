<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

final readonly class WaitingListView
{
    /**
     * @param list<WaitingView> $questions
     * @param int               $waiting answers, over all questions
     * @param list<ReadyView>   $handouts what may go back to students and what is back; empty for those who may not return work
     * @param list<ReplyView>   $replies what students said to returned work, the latest first; empty for the same
     */
    public function __construct(public array $questions, public int $waiting, public array $handouts, public array $replies)
    {
    }
}
