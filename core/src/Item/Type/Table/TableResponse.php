<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Table;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;

/** What stands in the cells. */
final readonly class TableResponse implements Response
{
    private const MOST_ROWS = 60;
    private const MOST_COLUMNS = 30;
    private const LONGEST = 500;

    /** @param list<list<string>> $cells rows */
    public function __construct(public array $cells)
    {
    }

    public static function members(): array
    {
        return ['cells'];
    }

    public static function read(Node $node): self
    {
        return new self(array_map(
            static fn (Node $row): array => $row->ownTexts(self::MOST_COLUMNS, self::LONGEST),
            $node->children('cells', self::MOST_ROWS),
        ));
    }

    public function isBlank(): bool
    {
        return array_filter(array_merge(...$this->cells), static fn (string $c): bool => !TextResponse::isEmpty($c)) === [];
    }

    public function toArray(): array
    {
        return $this->cells === [] ? self::NOTHING : ['cells' => $this->cells];
    }
}
