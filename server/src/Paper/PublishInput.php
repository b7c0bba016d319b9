<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

final readonly class PublishInput
{
    public function __construct(public int $version = 0)
    {
    }
}
