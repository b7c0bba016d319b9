<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Table;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\AnswerPart;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\FieldRule;
use ChalkLadder\Core\Item\FieldRules;
use ChalkLadder\Core\Item\Inputs;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Verdict;

/**
 * Cells of a grid. Each asked cell has a rule of its own (text or number) and weighs the same. A rule over the whole
 * table ("y/x is constant and no row is zero") is written as a check of the question, which sees the table by its cells,
 * rows and columns: `table.r2c1`, `table.c1`, `table.r2`.
 */
final readonly class TableRule extends PlainRule
{
    /**
     * @param int                                              $rows    how many
     * @param int                                              $columns how many
     * @param list<array{row: int, column: int, rule: FieldRule}>   $cells   counted from 1
     * @param list<array{row: int, column: int, text: string}>      $given   cells that are filled in already, headings among them
     */
    public function __construct(public int $rows, public int $columns, public array $cells, public array $given = [])
    {
    }

    public static function read(Node $node): self
    {
        $rows = $node->int('rows', 1, 60);
        $columns = $node->int('columns', 1, 30);
        $cells = [];
        foreach ($node->children('cells', 400) as $cell) {
            $rule = ItemReader::rule(ItemType::from($cell->oneOf('type', ['text', 'number'])), $cell->child('rule'));
            $row = $cell->int('row', 1, $rows);
            $column = $cell->int('column', 1, $columns);
            if ($rule instanceof FieldRule) {
                $cells[] = ['row' => $row, 'column' => $column, 'rule' => $rule];
            }
            $cell->rejectUnknown();
        }

        $given = [];
        foreach ($node->children('given', 1800) as $cell) {
            $given[] = [
                'row' => $cell->int('row', 1, $rows),
                'column' => $cell->int('column', 1, $columns),
                'text' => $cell->text('text', 200),
            ];
            $cell->rejectUnknown();
        }

        return new self($rows, $columns, $cells, $given);
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
            $outcome = $cell['rule']->check($cell['rule']->fromField(self::in($response)[$cell['row'] - 1][$cell['column'] - 1] ?? ''));
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
            Said::together($feedback),
            array_values(array_unique($ideas)),
        );
    }

    /** @return list<list<string>> rows */
    private static function in(Response $response): array
    {
        return $response instanceof TableResponse ? $response->cells : [];
    }

    public function face(Showing $showing): array
    {
        return ['rows' => $this->rows, 'columns' => $this->columns, 'given' => $this->given, 'cells' => array_map(
            static fn (array $c): array => ['row' => $c['row'], 'column' => $c['column'], 'type' => $c['rule']->type()->value]
                + $c['rule']->face($showing),
            $this->cells,
        )];
    }

    public function inWords(Response $response): string
    {
        $given = self::in($response);
        $words = array_map(
            static fn (array $c): string => $c['rule']->inWords($c['rule']->fromField($given[$c['row'] - 1][$c['column'] - 1] ?? '')),
            $this->cells,
        );
        // Where only a check of the question looks at it, whatever stands in it.
        $words = $words === [] ? array_merge(...$given) : $words;

        return implode(' · ', array_map(static fn (string $w): string => $w === '' ? '–' : $w, $words));
    }

    public function key(): string
    {
        return implode('; ', array_map(
            static fn (array $c): string => sprintf('row %d, column %d: %s', $c['row'], $c['column'], $c['rule']->key()),
            $this->cells,
        ));
    }

    public function accepted(): array
    {
        return array_merge(...array_map(
            static fn (array $c): array => array_map(
                static fn (string $line): string => sprintf('row %d, column %d: %s', $c['row'], $c['column'], $line),
                $c['rule']->accepted(),
            ),
            $this->cells,
        ));
    }

    /** In every cell whose answer earned less, what stands in it is accepted from now on. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        $given = self::in($response);

        return new self($this->rows, $this->columns, array_map(static fn (array $c): array => [
            'rule' => FieldRules::accepting($c['rule'], $given[$c['row'] - 1][$c['column'] - 1] ?? '', $credit, $feedback),
        ] + $c, $this->cells), $this->given);
    }

    /** Cells, rows and columns: `table.r2c1`, `table.r2`, `table.c1`. */
    public function inputs(Response $response): array
    {
        $table = $rows = $columns = [];
        foreach (self::in($response) as $i => $row) {
            foreach ($row as $j => $cell) {
                $value = Inputs::value($cell);
                $table['r'.($i + 1).'c'.($j + 1)] = $value;
                $rows['r'.($i + 1)][] = $value;
                $columns['c'.($j + 1)][] = $value;
            }
        }

        return ['text' => '', 'answer' => ''] + ($table === [] ? [] : ['table' => $table + $rows + $columns]);
    }

    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return AnswerPart::together($this->parts($response));
    }

    public function parts(Response $response): array
    {
        $given = self::in($response);

        return array_values(array_filter(array_map(static fn (array $c): ?AnswerPart => AnswerPart::ofField(
            sprintf('row %d, column %d', $c['row'], $c['column']),
            $c['rule'],
            $given[$c['row'] - 1][$c['column'] - 1] ?? '',
        ), $this->cells)));
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
            'given' => $this->given,
        ];
    }

    public function defects(): array
    {
        $defects = $this->cells === [] ? [Defect::blocking('No cell is asked for.')] : [];
        foreach ($this->cells as $cell) {
            foreach ($cell['rule']->defects() as $defect) {
                $defects[] = new Defect(sprintf('Row %d, column %d: %s', $cell['row'], $cell['column'], $defect->message), $defect->blocks);
            }
        }

        return $defects;
    }
}
