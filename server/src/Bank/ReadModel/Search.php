<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

/** What is looked for in the bank. */
final readonly class Search
{
    private const LONGEST = 200;

    public function __construct(
        public string $text = '',
        public ?string $skill = null,
        public ?string $misconception = null,
        public ?string $type = null,
        public Order $order = Order::Latest,
        /** how many of those found are passed over, for the next page of the list */
        public int $from = 0,
    ) {
    }

    /** The same, whatever the skill, misconception or type. */
    public function without(string $what): self
    {
        return new self(
            $this->text,
            $what === 'skill' ? null : $this->skill,
            $what === 'misconception' ? null : $this->misconception,
            $what === 'type' ? null : $this->type,
        );
    }

    /** @return list<string> in small letters */
    public function words(): array
    {
        $text = (string) preg_replace('/\s+/u', ' ', mb_strtolower(mb_substr($this->text, 0, self::LONGEST)));

        return array_values(array_filter(explode(' ', $text), static fn (string $w): bool => $w !== ''));
    }
}
