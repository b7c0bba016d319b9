<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** One place in a section: a question of the bank with its points here, or a source. */
final readonly class Entry
{
    private function __construct(public string $id, public ?string $item, public BigRational $points, public ?Source $source)
    {
    }

    public static function question(string $id, string $item, BigRational $points): self
    {
        return new self($id, $item, $points, null);
    }

    public static function source(string $id, Source $source): self
    {
        return new self($id, null, BigRational::zero(), $source);
    }

    public function isQuestion(): bool
    {
        return $this->item !== null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->source === null
            ? ['id' => $this->id, 'kind' => 'question', 'item' => $this->item, 'points' => (string) $this->points]
            : ['id' => $this->id, 'kind' => 'source', 'source' => $this->source->toArray()];
    }
}
