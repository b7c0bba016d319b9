<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What was kept at one stroke. */
final readonly class KeptEntries extends ReadModel
{
    /**
     * The questions that an earlier request of the same name has kept; until the act ends, nobody else asks for that name.
     *
     * @return list<string> ids, in the order of the text
     */
    public function ofRequest(string $teamId, string $requestId): array
    {
        $this->holdName($teamId.$requestId);

        return $this->texts(
            'SELECT id FROM item WHERE team_id = :team AND request_id = :request ORDER BY request_place',
            ['team' => $teamId, 'request' => $requestId],
        );
    }
}
