<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class NotesTextView
{
    public function __construct(public string $text)
    {
    }
}
