<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Item\Draw;

/** A part of a paper; the unit of branching. Without a route the next section in order follows. */
final readonly class Section
{
    /** @param list<Entry> $entries */
    public function __construct(public string $id, public string $title, public array $entries, public ?Route $route = null)
    {
    }

    /**
     * The entries in the order in which they are shown. Sources keep their places; for a seed the questions move, each between the sources
     * that stand around it.
     *
     * @return list<string> their ids
     */
    public function order(?string $seed): array
    {
        $ids = $run = [];
        foreach ([...$this->entries, null] as $i => $entry) {
            if ($entry instanceof Entry && $entry->isQuestion()) {
                $run[] = $entry->id;

                continue;
            }
            array_push($ids, ...($seed === null ? $run : Draw::order($run, $seed, $this->id.'.'.$i)));
            $run = [];
            if ($entry !== null) {
                $ids[] = $entry->id;
            }
        }

        return $ids;
    }

    /** @return list<Entry> */
    public function questions(): array
    {
        return array_values(array_filter($this->entries, static fn (Entry $e): bool => $e->isQuestion()));
    }

    /**
     * The sources that a question is read with: those that stand together nearest before it. They stay beside every question until
     * others come.
     *
     * @return list<Entry>
     */
    public function beside(string $questionId): array
    {
        $beside = [];
        $fresh = false;
        foreach ($this->entries as $entry) {
            if ($entry->id === $questionId) {
                return $beside;
            }
            if ($entry->isQuestion()) {
                $fresh = true;

                continue;
            }
            $beside = $fresh ? [$entry] : [...$beside, $entry];
            $fresh = false;
        }

        return [];
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
