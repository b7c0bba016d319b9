<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

/** An edition with questions whose keys some students of the groups have been told. */
final readonly class KeysOutView
{
    /**
     * @param int          $questions how many
     * @param list<string> $from      titles of the handouts in which the keys were told
     */
    public function __construct(public string $editionId, public int $questions, public array $from)
    {
    }
}
