<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

use ChalkLadder\Core\Sitting\Support;

final readonly class SupportView
{
    /** @param int $fewerOptions distractors left out where one option is to be picked */
    private function __construct(
        public bool $readAloud,
        public bool $largerText,
        public bool $lineFocus,
        public bool $wordNotes,
        public int $fewerOptions,
    ) {
    }

    /** @return self|null nothing where nothing is given */
    public static function of(Support $s): ?self
    {
        return $s->isNone() ? null : new self($s->readAloud, $s->largerText, $s->lineFocus, $s->wordNotes, $s->fewerOptions);
    }
}
