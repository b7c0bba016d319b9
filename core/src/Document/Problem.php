<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Document;

/** One thing wrong with a document: where it is (`sections.0.title`) and what to do about it. */
final readonly class Problem
{
    public function __construct(public string $path, public string $message)
    {
    }
}
