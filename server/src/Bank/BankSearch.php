<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\View\ItemListView;
use ChalkLadder\Server\Bank\ReadModel\QuestionList;
use ChalkLadder\Server\Bank\ReadModel\Search;
use ChalkLadder\Server\Bank\ReadModel\Standing;
use ChalkLadder\Server\Bank\ReadModel\WordSearch;

/** Finds questions again, and says how many there are of each kind by which they could be narrowed. */
final readonly class BankSearch
{
    public function __construct(
        private QuestionList $list,
        private WordSearch $words,
        private QuestionRecords $records,
        private QuestionUses $uses,
    ) {
    }

    /** @return list<string> */
    private function fitting(string $teamId, Search $search): array
    {
        $found = $this->words->fitting($teamId, $search, false);

        // Only where nothing says it as it was typed was it perhaps a slip.
        return $found === [] ? $this->words->fitting($teamId, $search, true) : $found;
    }

    public function find(string $teamId, Search $search): ItemListView
    {
        $standing = new Standing(
            $this->records->facilities($teamId),
            $this->uses->used($teamId),
            $search->words() === [] ? null : $this->fitting($teamId, $search),
        );
        $counts = $this->list->counts($teamId, $search, $standing);
        $ofAnyBand = $this->list->ids($teamId, $search->without('right'), $standing);
        $usedOrNot = $search->right === null && $search->used === null
            ? $ofAnyBand
            : $this->list->ids($teamId, $search->without('used'), $standing);

        return new ItemListView(
            $this->list->found($teamId, $search, $standing),
            $counts['type'],
            $counts['skill'],
            $counts['misconception'],
            $counts['author'],
            $counts['folder'],
            $this->list->authors($teamId),
            array_count_values(array_map(static fn (string $id): string => $standing->band($id)->value, $ofAnyBand)),
            count(array_intersect($usedOrNot, $standing->used)),
            $search->type === null ? array_sum($counts['type']) : ($counts['type'][$search->type] ?? 0),
        );
    }
}
