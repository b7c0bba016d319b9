<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\OpenApi;

/** A property that holds a document with a schema of its own in docs/formats (question, paper, response …). */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final readonly class Shape
{
    public function __construct(public string $schema)
    {
    }
}
