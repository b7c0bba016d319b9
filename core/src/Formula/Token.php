<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** One piece of a formula as it was written. */
final readonly class Token
{
    public const NUMBER = 'number';
    public const NAME = 'name';
    public const TEXT = 'text';
    public const SIGN = 'sign';
    public const END = 'end';

    /**
     * @param self::*   $kind
     * @param string    $text   a number in plain form (`1234.5`, `1/2`), a name, the content of a text, or a sign
     * @param int       $at     position in characters
     * @param bool      $spaced white space stood before it
     * @param bool      $whole  a number without a decimal part or exponent
     */
    public function __construct(
        public string $kind,
        public string $text,
        public int $at,
        public bool $spaced = false,
        public bool $whole = false,
    ) {
    }

    public function is(string ...$signs): bool
    {
        return $this->kind === self::SIGN && in_array($this->text, $signs, true);
    }

    public function isWord(string $word): bool
    {
        return $this->kind === self::NAME && $this->text === $word;
    }
}
