<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class ItemListView
{
    /**
     * @param list<ItemRowView>  $items
     * @param array<string, int> $types          questions by type, over the whole search before the type is picked
     * @param array<string, int> $skills         the same by skill
     * @param array<string, int> $misconceptions the same by misconception
     * @param int                $total          how many match; the list holds a page of them
     */
    public function __construct(
        public array $items,
        public array $types,
        public array $skills,
        public array $misconceptions,
        public int $total,
    ) {
    }
}
