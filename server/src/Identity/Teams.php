<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Server\Platform\Storage\Database;

/** A team's own settings. */
final readonly class Teams
{
    public function __construct(private Database $database)
    {
    }

    public function rungs(string $teamId): Rungs
    {
        $bands = [];
        foreach ($this->database->row('SELECT rungs FROM team WHERE id = :id', ['id' => $teamId])?->json('rungs') ?? [] as $band) {
            if (is_array($band) && is_string($band['name'] ?? null) && is_numeric($band['from'] ?? null)) {
                $bands[] = ['name' => $band['name'], 'from' => (float) $band['from']];
            }
        }

        return $bands === [] ? new Rungs() : new Rungs($bands);
    }

    public function numberStyle(string $teamId): Style
    {
        return Style::from($this->database->row('SELECT number_style FROM team WHERE id = :id', ['id' => $teamId])?->text('number_style') ?? Style::Point->value);
    }
}
