<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** What a rule makes of a response that a teacher tries out. */
final readonly class TryView
{
    /** @param list<string> $misconceptions ids */
    public function __construct(public ?string $credit, public string $verdict, public string $line, public string $readAs, public string $feedback, public array $misconceptions)
    {
    }
}
