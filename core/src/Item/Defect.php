<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** Something wrong with a question or paper. What blocks must be mended before publishing; the rest is advice. */
final readonly class Defect
{
    /** @param string $where the id of the entry or section it is about, or '' for the whole */
    public function __construct(public string $message, public bool $blocks, public string $where = '')
    {
    }

    public static function blocking(string $message, string $where = ''): self
    {
        return new self($message, true, $where);
    }

    public static function advice(string $message, string $where = ''): self
    {
        return new self($message, false, $where);
    }

    public function at(string $where): self
    {
        return new self($this->message, $this->blocks, $where);
    }
}
