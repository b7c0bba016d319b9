<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

/** What the statements of other rooms may know of papers; each stands where a table stands. */
final class PaperTables
{
    /** Editions: id, team_id, paper_id, number, rules_version, and the paper's present title. */
    public const EDITIONS = '(SELECT e.id, e.team_id, e.paper_id, e.number, e.rules_version, p.title FROM edition e
        JOIN paper p ON p.id = e.paper_id)';

    /** The editions alone, for the statements that are counted in microseconds: id, rules_version. */
    public const RULES = '(SELECT id, rules_version FROM edition)';

    /** Which bank question each entry is: edition_id, entry, item_id. */
    public const ITEMS = '(SELECT edition_id, entry, item_id FROM edition_item)';

    /** Which pictures each edition shows: edition_id, file_id. */
    public const FILES = '(SELECT edition_id, file_id FROM edition_file)';
}
