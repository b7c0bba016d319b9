<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Paper\Paper;

/** A published paper with its questions in full, under the keys that hold now. */
final readonly class Edition
{
    /**
     * @param array<string, Item>   $items   by entry id, worth what the paper says
     * @param array<string, string> $itemIds bank ids by entry id
     */
    public function __construct(
        public string $id,
        public string $paperId,
        public int $number,
        public Paper $paper,
        public array $items,
        public array $itemIds,
    ) {
    }

    public function item(string $entry): ?Item
    {
        return $this->items[$entry] ?? null;
    }

    public function rule(string $entry): ?Rule
    {
        return ($this->items[$entry] ?? null)?->rule;
    }

    /** @return list<string> entries whose answers a machine marks */
    public function machineMarked(): array
    {
        return array_keys(array_filter($this->items, static fn (Item $i): bool => !$i->rule->waitsForMarker()));
    }

    /** @return array<string, int> question numbers by entry id, in written order from 1 */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->paper->questions() as $i => $entry) {
            $numbers[$entry->id] = $i + 1;
        }

        return $numbers;
    }

    public function title(string $entry): string
    {
        $item = $this->items[$entry] ?? null;
        if ($item === null) {
            return '';
        }
        $title = trim($item->title);

        return $title !== '' ? $title : mb_strimwidth(trim(html_entity_decode(strip_tags($item->prompt))), 0, 60, '…');
    }

    public function points(string $entry): BigRational
    {
        return ($this->items[$entry] ?? null)->points ?? BigRational::zero();
    }
}
