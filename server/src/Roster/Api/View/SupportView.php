<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

use ChalkLadder\Core\Sitting\Support;

final readonly class SupportView
{
    /**
     * @param int $fewerOptions distractors left out where one option is to be picked
     * @param int $extraTime    per cent beyond the time that is set for the work
     */
    private function __construct(
        public bool $readAloud,
        public bool $largerText,
        public bool $lineFocus,
        public bool $wordNotes,
        public int $fewerOptions,
        public int $extraTime,
    ) {
    }

    /** @return self|null nothing where nothing is given */
    public static function of(Support $s): ?self
    {
        return $s->isNone() ? null : new self(
            $s->readAloud,
            $s->largerText,
            $s->lineFocus,
            $s->wordNotes,
            $s->fewerOptions,
            $s->extraTime,
        );
    }
}
