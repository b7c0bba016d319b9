<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Choice;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Folding;

/**
 * One choice. A distractor says which wrong idea leads to it. A credit of its own, where one is set, holds instead of the
 * key's all or nothing.
 */
final readonly class Option
{
    public function __construct(
        public string $id,
        public string $text,
        public bool $key,
        public string $feedback = '',
        public ?string $misconception = null,
        public ?BigRational $credit = null,
    ) {
    }

    /** The text as read aloud: no markup, folded, so that two options that say the same are found. */
    public function folded(): string
    {
        return (new Folding())->fold(html_entity_decode(strip_tags($this->text), ENT_QUOTES | ENT_HTML5));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'text' => $this->text,
            'key' => $this->key,
            'feedback' => $this->feedback,
            'misconception' => $this->misconception,
        ] + ($this->credit === null ? [] : ['credit' => (string) $this->credit]);
    }
}
