<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\Input;

final readonly class PublishInput
{
    public function __construct(public int $version = 0)
    {
    }
}
