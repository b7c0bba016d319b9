<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** One student helps another, as their teacher sees it. */
final readonly class HelpView
{
    /**
     * @param string             $helpedId the student who is helped, with the alias that the other reads
     * @param string             $state    asked, on, over
     * @param string|null        $overBy   teacher, helped, helper
     * @param list<HelpLineView> $lines    in their order
     */
    public function __construct(
        public string $id,
        public string $entry,
        public string $helpedId,
        public string $helpedAs,
        public string $helperId,
        public string $helperAs,
        public string $state,
        public ?string $overBy,
        public string $askedAt,
        public array $lines,
    ) {
    }
}
