<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class OptionFaceView
{
    public function __construct(public string $id, public string $text)
    {
    }
}
