<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/**
 * Values that belong together, a row a draw: a ship and its draught. A column of numbers can be calculated with; any
 * other is words, to be shown and compared.
 */
final readonly class ValueTable
{
    private const MOST_COLUMNS = 8;
    private const MOST_ROWS = 200;
    private const LONGEST = 60;

    /**
     * @param list<string>                    $columns names
     * @param list<list<BigRational|string>>  $rows    a value a column
     * @param list<list<string>>              $written the same as it is written
     */
    private function __construct(public array $columns, public array $rows, private array $written)
    {
    }

    /** @param list<string> $taken names that stand above it */
    public static function read(Node $node, array $taken): self
    {
        $columns = array_values($node->texts('columns', self::MOST_COLUMNS, Variable::LONGEST_NAME));
        foreach ($columns as $i => $column) {
            if (!Variable::mayBeCalled($column, [...$taken, ...array_slice($columns, 0, $i)])) {
                $node->fault('columns', Variable::NAMING);
            }
        }
        $written = [];
        foreach ($node->children('rows', self::MOST_ROWS) as $i => $row) {
            $written[] = array_values($row->ownTexts(self::MOST_COLUMNS, self::LONGEST));
            if (count($written[$i]) !== count($columns)) {
                $node->fault('rows.'.$i, sprintf('A row needs a value for each of the %d columns.', count($columns)));
            }
        }
        if ($columns === [] || $written === []) {
            $node->fault('rows', 'A table needs a column and a row.');
        }
        $numeric = array_map(
            static fn (int $c): bool => array_filter($written, static fn (array $row): bool => !Variable::isNumber($row[$c] ?? '')) === [],
            array_keys($columns),
        );

        return new self($columns, array_map(static fn (array $row): array => array_map(
            static fn (string $value, int $c): BigRational|string => $numeric[$c] ?? false ? BigRational::of($value)->simplified() : $value,
            $row,
            array_keys($row),
        ), $written), $written);
    }

    /** @return list<string> the columns that are words */
    public function words(): array
    {
        return array_values(array_filter(
            $this->columns,
            fn (int $c): bool => is_string($this->rows[0][$c] ?? null),
            ARRAY_FILTER_USE_KEY,
        ));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['columns' => $this->columns, 'rows' => $this->written];
    }
}
