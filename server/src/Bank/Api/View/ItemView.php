<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class ItemView
{
    /**
     * @param array<string, mixed>  $item
     * @param list<DefectView>      $defects
     * @param list<string>          $papers  titles of the papers it stands in
     * @param string|null           $student who wrote it, with the class, where a student did and is named
     */
    public function __construct(
        public string $id,
        #[Shape('Item')]
        public array $item,
        public int $version,
        public string $author,
        public string $updatedBy,
        public string $updatedAt,
        public bool $archived,
        public array $defects,
        public array $papers,
        public RecordView $record,
        public ?string $student = null,
    ) {
    }
}
