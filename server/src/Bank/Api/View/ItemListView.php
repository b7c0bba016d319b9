<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** Counts are over the whole search before the member they count by is picked. */
final readonly class ItemListView
{
    /**
     * @param list<ItemRowView>     $items
     * @param array<string, int>    $types          questions by type
     * @param array<string, int>    $skills         by skill
     * @param array<string, int>    $misconceptions by misconception
     * @param array<string, int>    $authors        by who wrote them
     * @param array<string, int>    $folders        by folder
     * @param array<string, string> $names          of authors
     * @param array<string, int>    $right          by how many were right so far: low, middle, high, none
     * @param int                   $used           how many stand in a published paper
     * @param int                   $total          how many match; the list holds a page of them
     */
    public function __construct(
        public array $items,
        public array $types,
        public array $skills,
        public array $misconceptions,
        public array $authors,
        public array $folders,
        public array $names,
        public array $right,
        public int $used,
        public int $total,
    ) {
    }
}
