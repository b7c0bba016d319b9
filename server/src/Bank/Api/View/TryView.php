<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What a rule makes of a response that a teacher tries out. */
final readonly class TryView
{
    /**
     * @param list<string>          $misconceptions ids
     * @param array<string, string> $numbers        what was drawn for the variables, by name
     * @param string|null           $marks          as they would be rounded for this team; null waits for a marker
     * @param string                $key            as it is told to students
     * @param list<string>          $passedOver     checks that could not be worked out, each with the reason
     */
    public function __construct(
        public ?string $credit,
        public string $verdict,
        public string $line,
        public string $readAs,
        public string $feedback,
        public array $misconceptions,
        public array $numbers,
        public ?string $marks,
        public string $key,
        public array $passedOver,
    ) {
    }
}
