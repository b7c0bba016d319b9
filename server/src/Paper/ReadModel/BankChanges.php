<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Whether the bank's questions are still as an edition took them. */
final readonly class BankChanges extends ReadModel
{
    /** Whether a question of the edition `e` has changed since. */
    public const SOME = '(EXISTS (SELECT 1 FROM edition_item ei JOIN '.BankTables::CONTENTS.' i ON i.id = ei.item_id
        WHERE ei.edition_id = e.id AND i.hash <> ei.content_hash))';

    /** Notes the questions as they are now: all of an edition when it is published, one when a changed key has come home. */
    public function stamp(string $editionId, ?string $entry = null): void
    {
        $this->run(
            'UPDATE edition_item ei SET content_hash = i.hash FROM '.BankTables::CONTENTS.' i
                WHERE i.id = ei.item_id AND ei.edition_id = :edition'.($entry === null ? '' : ' AND ei.entry = :entry'),
            ['edition' => $editionId] + ($entry === null ? [] : ['entry' => $entry]),
        );
    }

    /** @return list<string> the entries whose question has changed since */
    public function entries(string $editionId): array
    {
        return $this->texts(
            'SELECT ei.entry FROM edition_item ei JOIN '.BankTables::CONTENTS.' i ON i.id = ei.item_id
                WHERE ei.edition_id = :edition AND i.hash <> ei.content_hash',
            ['edition' => $editionId],
        );
    }
}
