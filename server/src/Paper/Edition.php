<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;

/**
 * A published paper with its questions in full, under the keys that hold now. It is kept as plain documents and read
 * part by part, on asking: saving one answer needs one question, not thirty (docs/decisions/hot-path.md).
 */
final class Edition
{
    private ?Paper $paper = null;

    /** @var array<string, Item> */
    private array $read = [];

    /**
     * @param array<array-key, mixed>                $paperDocument as {@see PaperReader} reads it
     * @param array<string, array<array-key, mixed>> $documents     as {@see ItemReader} reads them, by entry id in written order, worth what the paper says
     * @param array<string, string>                  $itemIds       bank ids by entry id
     */
    public function __construct(
        public readonly string $id,
        public readonly string $paperId,
        public readonly int $number,
        private readonly array $paperDocument,
        private readonly array $documents,
        public readonly array $itemIds,
    ) {
    }

    public function paper(): Paper
    {
        return $this->paper ??= PaperReader::read($this->paperDocument);
    }

    /** @return array<string, Item> by entry id */
    public function items(): array
    {
        $items = [];
        foreach (array_keys($this->documents) as $entry) {
            $items[$entry] = $this->read[$entry] ??= ItemReader::read($this->documents[$entry]);
        }

        return $items;
    }

    public function has(string $entry): bool
    {
        return isset($this->documents[$entry]);
    }

    public function item(string $entry): ?Item
    {
        return $this->has($entry) ? $this->read[$entry] ??= ItemReader::read($this->documents[$entry]) : null;
    }

    public function rule(string $entry): ?Rule
    {
        return $this->item($entry)?->rule;
    }

    /** @return list<string> entries whose answers a machine marks */
    public function machineMarked(): array
    {
        return array_keys(array_filter($this->items(), static fn (Item $i): bool => !$i->rule->waitsForMarker()));
    }

    /** @return array<string, int> question numbers by entry id, in written order from 1 */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->paper()->questions() as $i => $entry) {
            $numbers[$entry->id] = $i + 1;
        }

        return $numbers;
    }

    public function title(string $entry): string
    {
        $item = $this->item($entry);
        if ($item === null) {
            return '';
        }
        $title = trim($item->title);

        return $title !== '' ? $title : mb_strimwidth(trim(html_entity_decode(strip_tags($item->prompt))), 0, 60, '…');
    }

    public function points(string $entry): BigRational
    {
        return $this->item($entry)->points ?? BigRational::zero();
    }
}
