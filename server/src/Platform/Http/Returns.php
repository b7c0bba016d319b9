<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

/** The view inside a response that a controller builds itself, for the API description. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class Returns
{
    /** @param class-string|'file' $view */
    public function __construct(public string $view)
    {
    }
}
