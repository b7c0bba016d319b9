<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** Something wrong with a question or paper. What blocks must be mended before publishing; the rest is advice. */
final readonly class Defect
{
    /** The entry can be taken out. */
    public const TAKE_OUT = 'take out';
    /** The section can be taken out. */
    public const TAKE_SECTION_OUT = 'take section out';
    /** The ways on can be made one. */
    public const ONE_WAY = 'one way';
    /** Ways that lead back can be given rounds. */
    public const ROUNDS = 'rounds';

    /**
     * @param string        $where the id of the entry or section it is about, or '' for the whole
     * @param bool          $ofKey that there is no key: none where it is given later
     * @param self::*|null  $mend  what would mend it without further questions; null: its writer has to think
     */
    public function __construct(
        public string $message,
        public bool $blocks,
        public string $where = '',
        public ?string $mend = null,
        public bool $ofKey = false,
    ) {
    }

    /** @param self::* $mend */
    public function mendedBy(string $mend): self
    {
        return new self($this->message, $this->blocks, $this->where, $mend, $this->ofKey);
    }

    public static function blocking(string $message, string $where = ''): self
    {
        return new self($message, true, $where);
    }

    /** Nothing that is answered can be right. */
    public static function keyless(string $message): self
    {
        return new self($message, true, ofKey: true);
    }

    public static function advice(string $message, string $where = ''): self
    {
        return new self($message, false, $where);
    }

    public function at(string $where): self
    {
        return new self($this->message, $this->blocks, $where, $this->mend, $this->ofKey);
    }
}
