<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** An answer to a question that is gone from the paper. */
final readonly class AsideView
{
    /** @param string $title of the question */
    public function __construct(public string $title, public string $given)
    {
    }
}
