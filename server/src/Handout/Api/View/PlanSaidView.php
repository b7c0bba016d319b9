<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\View;

/** What is to be said of a feedback plan before it is used. */
final readonly class PlanSaidView
{
    /**
     * @param list<string> $concerns what a teacher should know, each a sentence
     * @param string       $handedIn what a student who has handed in is told of what is still to come, or ''
     * @param string       $closed   the same when the handout is closed
     */
    public function __construct(public array $concerns, public string $handedIn, public string $closed)
    {
    }
}
