<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** A student who would be called otherwise. */
final readonly class FiledNameView
{
    public function __construct(public string $was, public string $name)
    {
    }
}
