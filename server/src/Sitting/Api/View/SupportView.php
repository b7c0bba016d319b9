<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

use ChalkLadder\Core\Sitting\Support;

/** What a student's device does for them; options that are left out are simply not there. */
final readonly class SupportView
{
    private function __construct(public bool $readAloud, public bool $largerText, public bool $lineFocus, public bool $wordNotes)
    {
    }

    /** @return self|null nothing where the device has nothing to do */
    public static function of(Support $s): ?self
    {
        return $s->readAloud || $s->largerText || $s->lineFocus || $s->wordNotes
            ? new self($s->readAloud, $s->largerText, $s->lineFocus, $s->wordNotes)
            : null;
    }
}
