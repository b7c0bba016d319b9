<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Text;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\WordPattern;

/** One accepted (or foreseen and refused) wording of a text answer; with blanks, `*` and `_` stand for words ({@see WordPattern}). */
final readonly class Form
{
    public function __construct(
        public string $text,
        public BigRational $credit,
        public string $feedback = '',
        public ?string $misconception = null,
        public bool $blanks = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'text' => $this->text,
            'credit' => (string) $this->credit,
            'feedback' => $this->feedback,
            'misconception' => $this->misconception,
        ] + ($this->blanks ? ['blanks' => true] : []);
    }
}
