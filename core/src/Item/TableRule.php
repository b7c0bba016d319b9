<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/**
 * Cells of a grid. Each asked cell has a rule of its own (text or number) and weighs the same. A rule over the whole
 * table ("y/x is constant and no row is zero") is written as a check of the question, which sees the table by its cells,
 * rows and columns: `table.r2c1`, `table.c1`, `table.r2`.
 */
final readonly class TableRule implements Rule
{
    /**
     * @param int                                              $rows    how many
     * @param int                                              $columns how many
     * @param list<array{row: int, column: int, rule: Rule}>   $cells   counted from 1
     */
    public function __construct(public int $rows, public int $columns, public array $cells)
    {
    }

    /** @param \Closure(ItemType, Node): Rule $ruleOf */
    public static function read(Node $node, \Closure $ruleOf): self
    {
        $rows = $node->int('rows', 1, 60);
        $columns = $node->int('columns', 1, 30);
        $cells = [];
        foreach ($node->children('cells', 400) as $cell) {
            $cells[] = [
                'row' => $cell->int('row', 1, $rows),
                'column' => $cell->int('column', 1, $columns),
                'rule' => $ruleOf(ItemType::from($cell->oneOf('type', ['text', 'number'])), $cell->child('rule')),
            ];
            $cell->rejectUnknown();
        }

        return new self($rows, $columns, $cells);
    }

    public function type(): ItemType
    {
        return ItemType::Table;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $sum = BigRational::zero();
        $right = 0;
        $feedback = $ideas = $readAs = [];
        foreach ($this->cells as $cell) {
            $outcome = $cell['rule']->check(Response::ofText($response->cells[$cell['row'] - 1][$cell['column'] - 1] ?? ''));
            $sum = $sum->plus($outcome->credit ?? BigRational::zero());
            $right += $outcome->verdict === Verdict::Right ? 1 : 0;
            $readAs[] = sprintf('r%dc%d %s', $cell['row'], $cell['column'], $outcome->readAs === '' ? '–' : $outcome->readAs);
            $feedback[] = $outcome->feedback;
            array_push($ideas, ...$outcome->misconceptions);
        }
        $n = count($this->cells);

        return Outcome::of(
            $n === 0 ? BigRational::zero() : $sum->dividedBy($n),
            sprintf('%d of %d', $right, $n),
            implode(', ', $readAs),
            implode(' ', array_unique(array_filter($feedback, static fn (string $f): bool => $f !== ''))),
            array_values(array_unique($ideas)),
        );
    }

    public function waitsForMarker(): bool
    {
        return false;
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_merge(...array_map(
            static fn (array $c): array => $c['rule']->misconceptions(),
            $this->cells,
        ))));
    }

    public function toArray(): array
    {
        return [
            'rows' => $this->rows,
            'columns' => $this->columns,
            'cells' => array_map(
                static fn (array $c): array => [
                    'row' => $c['row'],
                    'column' => $c['column'],
                    'type' => $c['rule']->type()->value,
                    'rule' => $c['rule']->toArray(),
                ],
                $this->cells,
            ),
        ];
    }

    public function defects(): array
    {
        $defects = [];
        foreach ($this->cells as $cell) {
            foreach ($cell['rule']->defects() as $defect) {
                $defects[] = new Defect(sprintf('Row %d, column %d: %s', $cell['row'], $cell['column'], $defect->message), $defect->blocks);
            }
        }

        return $defects;
    }
}
