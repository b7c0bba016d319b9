<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class GlossView
{
    /** @param string $meaning of the word, in plain ones */
    public function __construct(public string $word, public string $meaning)
    {
    }
}
