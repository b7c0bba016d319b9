<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** One line between two students who are unknown to each other. */
final readonly class HelpLineView
{
    /**
     * @param bool        $byHelper the helper says it
     * @param string|null $held     what in it tells who somebody is; it waits for the teacher until `let`
     * @param bool        $let      the teacher has let it through
     */
    public function __construct(
        public string $id,
        public bool $byHelper,
        public string $words,
        public string $saidAt,
        public ?string $held,
        public bool $let,
    ) {
    }
}
