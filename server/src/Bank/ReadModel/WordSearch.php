<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Questions by the words in them, in one statement whatever else they are narrowed by. */
final readonly class WordSearch extends ReadModel
{
    private const MOST_WORDS = 8;
    /** Shorter words are too like others. */
    private const LEAST_SLIP = 4;
    /** As the index has it. */
    private const LEXEMES = "to_tsvector('english', i.search)";

    /**
     * A word fits where it stands, also within another, or where its stem does, by the language; with slips, from four letters on,
     * also where one stands that is nearly the same.
     *
     * @return list<string> ids of those that all words fit: by title before the rest, by letters before stems, then the latest first
     */
    public function fitting(string $teamId, Search $search, bool $slips): array
    {
        $where = $search->shelf();
        $parameters = ['team' => $teamId];
        $rank = [];
        foreach (array_slice($search->words(), 0, self::MOST_WORDS) as $n => $word) {
            $fits = ["i.search LIKE :part$n"];
            $parameters["part$n"] = '%'.addcslashes($word, '%_\\').'%';
            $rank[] = "(CASE WHEN lower(i.title) LIKE :part$n THEN 3 WHEN i.search LIKE :part$n THEN 2 ELSE 0 END)";
            $stem = (string) preg_replace('/[^\p{L}\p{N}]+/u', '', $word);
            if ($stem !== '') {
                $fits[] = self::LEXEMES." @@ to_tsquery('english', :stem$n)";
                $parameters["stem$n"] = "$stem:*";
            }
            if ($slips && mb_strlen($stem) >= self::LEAST_SLIP) {
                $fits[] = ":word$n <% i.search";
                $parameters["word$n"] = $stem;
            }
            $where .= ' AND ('.implode(' OR ', $fits).')';
        }

        return $this->texts(
            "SELECT i.id FROM item i WHERE $where ORDER BY ".implode(' + ', $rank).' DESC, i.updated_at DESC, i.id',
            $parameters,
        );
    }
}
