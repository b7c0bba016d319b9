<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\TeamSettings;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Which pages of others may show a piece of work within themselves. */
final readonly class FramingPages extends ReadModel
{
    /** @return list<string> origins; none of a handout that there is not */
    public function of(string $handoutId): array
    {
        return $this->texts(
            'SELECT jsonb_array_elements_text('.TeamSettings::framedBy('h.team_id').') FROM '.HandoutTables::HANDOUTS.' h WHERE h.id = :id',
            ['id' => $handoutId],
        );
    }
}
