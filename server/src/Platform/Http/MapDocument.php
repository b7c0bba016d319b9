<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\HttpKernel\Attribute\ValueResolver;

/**
 * Marks a parameter that is read from the body by its own {@see ReadsDocument::read()}: for the few bodies that come so
 * often that the general deserialiser would cost more than the act itself (docs/decisions/hot-path.md).
 */
#[\Attribute(\Attribute::TARGET_PARAMETER)]
final class MapDocument extends ValueResolver
{
    public function __construct()
    {
        parent::__construct(DocumentResolver::class);
    }
}
