<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

/** What the statements of other rooms may know of marking; each stands where a table stands. */
final class MarkTables
{
    /** What each marker gave to answers that were marked twice: sitting_id, entry, try, staff_id, levels. */
    public const SECOND_MARKS = '(SELECT sitting_id, entry, try, staff_id, levels FROM moderation_mark)';
}
