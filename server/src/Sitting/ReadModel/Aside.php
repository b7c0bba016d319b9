<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Answers to questions that a mended paper does not ask any more: kept, and there again should it ask them again. */
final readonly class Aside extends ReadModel
{
    /**
     * @param string       $then    the edition that was sat until now
     * @param list<string> $entries the questions of the edition that is sat from now on
     */
    public function move(string $handoutId, string $then, array $entries): void
    {
        $this->run('UPDATE response r SET aside = CASE WHEN r.entry IN (:entries) THEN NULL ELSE coalesce(r.aside, :then::uuid) END
            FROM sitting s WHERE s.id = r.sitting_id AND s.handout_id = :handout
            AND (r.aside IS NULL) <> (r.entry IN (:entries))', [
            'handout' => $handoutId,
            'then' => $then,
            'entries' => $entries === [] ? [''] : $entries,
        ]);
    }
}
