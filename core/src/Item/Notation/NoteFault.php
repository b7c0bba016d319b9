<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/** What is wrong with a line of notes, and what to do about it. */
final class NoteFault extends \RuntimeException
{
    /** @param int $at the line, from 1; 0 where the whole question is meant */
    public function __construct(string $message, public readonly int $at = 0)
    {
        parent::__construct($message);
    }
}
