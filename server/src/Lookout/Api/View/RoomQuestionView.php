<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** Where a question that was asked in class is. */
final readonly class RoomQuestionView
{
    public function __construct(public string $handoutId, public string $entry)
    {
    }
}
