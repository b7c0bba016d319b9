<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Analysis\Rungs;

/** @extends DocumentType<Rungs> */
final class RungsType extends DocumentType
{
    protected function read(array $json): Rungs
    {
        $bands = [];
        foreach ($json as $band) {
            if (is_array($band) && is_string($band['name'] ?? null) && is_numeric($band['from'] ?? null)) {
                $bands[] = ['name' => $band['name'], 'from' => (float) $band['from']];
            }
        }

        return $bands === [] ? new Rungs() : new Rungs($bands);
    }

    protected function write(object $value): array
    {
        return $value->bands;
    }
}
