<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** A question of the same handout, to go to from here. */
final readonly class QuestionTabView
{
    public function __construct(public string $entry, public int $number, public string $title, public int $waiting)
    {
    }
}
