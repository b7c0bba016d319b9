<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** A question of a draft that has changed in the bank since the latest edition took it. */
final readonly class ChangedQuestionView
{
    /** @param list<string> $parts what has changed, such as "wording" or "answers" */
    public function __construct(public string $entry, public int $number, public string $title, public array $parts)
    {
    }
}
