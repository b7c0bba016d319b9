<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

/** What the statements of other rooms may know of the bank; each stands where a table stands. */
final class BankTables
{
    /** Questions: id, and the skill each is evidence of. */
    public const SKILLS_OF_QUESTIONS = '(SELECT id, skill_id FROM item)';

    /** Questions: team, id, and the id of the one that stands for it: itself, unless two were put together. */
    public const STANDING_FOR = '(SELECT team_id, id, coalesce(merged_into, id) AS stands FROM item)';

    /** Questions: id, and a hash of all that each says. */
    public const CONTENTS = '(SELECT id, md5(content::text) AS hash FROM item)';

    /** Misconceptions: id, and what to do next. */
    public const NEXT_STEPS = '(SELECT id, next_step FROM misconception)';
}
