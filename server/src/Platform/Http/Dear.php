<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

/** An act that takes the server long: each person has so many of them a minute. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class Dear
{
}
