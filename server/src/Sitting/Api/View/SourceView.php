<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class SourceView
{
    public function __construct(public string $title, public string $html, public ?string $picture, public string $alt)
    {
    }
}
