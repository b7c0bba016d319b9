<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** What became of one save. Fate: kept, older (a newer one is stored), closed (kept aside for the teacher), unknown. */
final readonly class KeptView
{
    public function __construct(public string $entry, public int $try, public int $counter, public string $fate)
    {
    }
}
