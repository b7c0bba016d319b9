<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class VersionLineView
{
    /** @param string|null $until when the next one took its place; null for the one that holds */
    public function __construct(public int $version, public string $by, public ?string $until)
    {
    }
}
