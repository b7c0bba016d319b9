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
        public ?string $author = null,
        public ?Band $right = null,
        public ?bool $used = null,
        /** those that were put away, instead of the others */
        public bool $archived = false,
        public Order $order = Order::Latest,
        /** how many of those found are passed over, for the next page of the list */
        public int $from = 0,
        public ?string $folder = null,
        /** whose own folders may be looked into beside the team's */
        public string $who = '',
    ) {
    }

    /**
     * The same, whatever one of its members: skill, misconception, type, author, right, used, folder.
     *
     * @param 'skill'|'misconception'|'type'|'author'|'right'|'used'|'folder' $what
     */
    public function without(string $what): self
    {
        return new self(
            $this->text,
            $what === 'skill' ? null : $this->skill,
            $what === 'misconception' ? null : $this->misconception,
            $what === 'type' ? null : $this->type,
            $what === 'author' ? null : $this->author,
            $what === 'right' ? null : $this->right,
            $what === 'used' ? null : $this->used,
            $this->archived,
            folder: $what === 'folder' ? null : $this->folder,
            who: $this->who,
        );
    }

    /** Where it is looked, in SQL: the team's questions `i`, those in use or those that were put away. */
    public function shelf(): string
    {
        return 'i.team_id = :team AND i.archived_at IS '.($this->archived ? 'NOT NULL' : 'NULL');
    }

    /** @return list<string> in small letters */
    public function words(): array
    {
        $text = (string) preg_replace('/\s+/u', ' ', mb_strtolower(mb_substr($this->text, 0, self::LONGEST)));

        return array_values(array_filter(explode(' ', $text), static fn (string $w): bool => $w !== ''));
    }
}
