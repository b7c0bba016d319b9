<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\TeamSettings;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Doctrine\DBAL\Connection;

/** Questions by the words in them, in one statement whatever else they are narrowed by. */
final readonly class WordSearch extends ReadModel
{
    private const MOST_WORDS = 8;
    /** As the index has it. */
    private const LEXEMES = 'to_tsvector(w.language, w.search)';

    public function __construct(Connection $connection, private BankWords $words)
    {
        parent::__construct($connection);
    }

    /**
     * A word fits where it stands, also within another, or where its stem does, by the language; with slips, from four letters on,
     * also where one stands that it may mean.
     *
     * @return list<string> ids of those that all words fit: by title before the rest, by letters before stems, then the latest first
     */
    public function fitting(string $teamId, Search $search, bool $slips): array
    {
        $where = $search->shelf();
        $parameters = ['team' => $teamId];
        $rank = [];
        foreach (array_slice($search->words(), 0, self::MOST_WORDS) as $n => $word) {
            $fits = ["w.search LIKE :part$n"];
            $parameters["part$n"] = '%'.addcslashes($word, '%_\\').'%';
            $rank[] = "(CASE WHEN lower(i.title) LIKE :part$n THEN 3 WHEN i.search LIKE :part$n THEN 2 ELSE 0 END)";
            $stem = (string) preg_replace('/[^\p{L}\p{N}]+/u', '', $word);
            if ($stem !== '') {
                $fits[] = self::LEXEMES.' @@ to_tsquery('.TeamSettings::searchLanguage(':team').", :stem$n)";
                $parameters["stem$n"] = "$stem:*";
            }
            foreach ($slips ? $this->words->like($teamId, $stem) : [] as $k => $meant) {
                $fits[] = "w.search LIKE :meant{$n}x$k";
                $parameters["meant{$n}x$k"] = '%'.addcslashes($meant, '%_\\').'%';
            }
            // Each is answered by its own index; put together by OR, all of them would be worked out anew for every row that one finds.
            $where .= ' AND i.id IN ('.implode(' UNION ALL ', array_map(
                static fn (string $one): string => "SELECT w.id FROM item w WHERE $one",
                $fits,
            )).')';
        }

        return $this->texts(
            "SELECT i.id FROM item i WHERE $where ORDER BY ".implode(' + ', $rank).' DESC, i.updated_at DESC, i.id',
            $parameters,
        );
    }
}
