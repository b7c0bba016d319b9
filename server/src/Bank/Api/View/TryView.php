<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What a rule makes of a response that a teacher tries out. */
final readonly class TryView
{
    /**
     * @param list<string>          $misconceptions ids
     * @param array<string, string> $numbers        what was drawn for the variables, by name
     */
    public function __construct(
        public ?string $credit,
        public string $verdict,
        public string $line,
        public string $readAs,
        public string $feedback,
        public array $misconceptions,
        public array $numbers,
    ) {
    }
}
