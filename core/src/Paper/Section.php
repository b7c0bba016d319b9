<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/** A part of a paper; the unit of branching. Without a route the next section in order follows. */
final readonly class Section
{
    /** @param list<Entry> $entries */
    public function __construct(public string $id, public string $title, public array $entries, public ?Route $route = null)
    {
    }

    /** @return list<Entry> */
    public function questions(): array
    {
        return array_values(array_filter($this->entries, static fn (Entry $e): bool => $e->isQuestion()));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'entries' => array_map(static fn (Entry $e): array => $e->toArray(), $this->entries),
            'route' => $this->route?->toArray(),
        ];
    }
}
