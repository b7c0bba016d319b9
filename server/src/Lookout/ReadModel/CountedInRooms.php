<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\ReadModel;

use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** In which lessons a question of the bank was counted in the room. */
final readonly class CountedInRooms extends ReadModel
{
    private const MOST = 40;

    /** @return list<array{handout: string, entry: string, made: string}> the newest first */
    public function of(string $teamId, string $questionId): array
    {
        /** @var list<array{handout: string, entry: string, made: string}> $rows */
        $rows = $this->rows('SELECT h.id AS handout, ei.entry, h.made_at AS made FROM wall w
            JOIN '.HandoutTables::HANDOUTS.' h ON h.id = w.handout_id
            JOIN '.PaperTables::ITEMS.' ei ON ei.edition_id = h.edition_id
            JOIN '.BankTables::STANDING_FOR.' q ON q.id = ei.item_id AND q.stands = :question
            WHERE w.team_id = :team AND (jsonb_exists(w.counts, ei.entry) OR jsonb_exists(w.hands, ei.entry))
            ORDER BY h.made_at DESC, ei.entry LIMIT '.self::MOST, ['team' => $teamId, 'question' => $questionId]);

        return $rows;
    }
}
