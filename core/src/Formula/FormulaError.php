<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** What is wrong with a formula: where, what was expected, and what may have been meant. */
final class FormulaError extends \RuntimeException
{
    /** @param int $at position in characters from 0 in the text as it was written */
    public function __construct(string $message, public readonly int $at = 0, public readonly string $suggestion = '')
    {
        parent::__construct($message);
    }

    /** The whole of it in one sentence or two, with the position counted from 1. */
    public function sentence(): string
    {
        return sprintf('%s (at character %d)%s', $this->getMessage(), $this->at + 1, $this->suggestion === '' ? '' : ' '.$this->suggestion);
    }
}
