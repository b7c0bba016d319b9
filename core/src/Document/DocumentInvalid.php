<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Document;

/** Thrown when a document cannot be read; carries every problem found, not only the first. */
final class DocumentInvalid extends \InvalidArgumentException
{
    /** @param list<Problem> $problems at least one */
    public function __construct(public readonly array $problems)
    {
        $first = $problems[0] ?? new Problem('', 'The document is not valid.');
        parent::__construct($first->path === '' ? $first->message : $first->path.': '.$first->message);
    }
}
