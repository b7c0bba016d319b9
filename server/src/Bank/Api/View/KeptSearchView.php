<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class KeptSearchView
{
    /** @param string $query as it stands in the address of the bank */
    public function __construct(public string $id, public string $name, public string $query)
    {
    }
}
