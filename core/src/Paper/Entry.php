<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** One place in a section: a question of the bank with its points here, or a source. */
final readonly class Entry
{
    /**
     * @param bool $pinned it keeps its place when questions are mixed, and every student gets it where others are drawn
     * @param bool $breaks on paper it begins a new page
     * @param Anchor|null $looksAt where in a source beside it the question looks
     */
    private function __construct(
        public string $id,
        public ?string $item,
        public BigRational $points,
        public ?Source $source,
        public bool $pinned = false,
        public bool $breaks = false,
        public ?Anchor $looksAt = null,
    ) {
    }

    public static function question(
        string $id,
        string $item,
        BigRational $points,
        bool $pinned = false,
        bool $breaks = false,
        ?Anchor $looksAt = null,
    ): self {
        return new self($id, $item, $points, null, $pinned, $breaks, $looksAt);
    }

    public static function source(string $id, Source $source, bool $breaks = false): self
    {
        return new self($id, null, BigRational::zero(), $source, breaks: $breaks);
    }

    public function withSource(Source $source): self
    {
        return new self($this->id, $this->item, $this->points, $source, $this->pinned, $this->breaks);
    }

    public function isQuestion(): bool
    {
        return $this->item !== null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ($this->source === null
            ? ['id' => $this->id, 'kind' => 'question', 'item' => $this->item, 'points' => (string) $this->points]
            : ['id' => $this->id, 'kind' => 'source', 'source' => $this->source->toArray()])
            + ($this->pinned ? ['pinned' => true] : []) + ($this->breaks ? ['breaks' => true] : [])
            + ($this->looksAt === null ? [] : ['looksAt' => $this->looksAt->toArray()]);
    }
}
