<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

/** What other rooms' statements need of a team. */
final class TeamSettings
{
    /** The team's smallest mark; `%s` is the column with the team's id. */
    private const MARK_STEP = '(SELECT mark_step FROM team WHERE id = %s)';

    /** The text search configuration of the team's language; `%s` is the column or parameter with the team's id. */
    private const SEARCH_LANGUAGE = '(SELECT search_language::regconfig FROM team WHERE id = %s)';

    /** Origins of the pages that may show the team's work within themselves, as JSON; `%s` is the column with the team's id. */
    private const FRAMED_BY = '(SELECT framed_by FROM team WHERE id = %s)';

    public static function framedBy(string $column): string
    {
        return sprintf(self::FRAMED_BY, $column);
    }

    public static function searchLanguage(string $column): string
    {
        return sprintf(self::SEARCH_LANGUAGE, $column);
    }

    public static function markStep(string $column): string
    {
        return sprintf(self::MARK_STEP, $column);
    }
}
