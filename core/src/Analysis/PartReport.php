<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** A part of a question, and how often its key and what rivals it were given. */
final readonly class PartReport
{
    public function __construct(public Part $part, public OptionReport $key, public OptionReport $rival)
    {
    }
}
