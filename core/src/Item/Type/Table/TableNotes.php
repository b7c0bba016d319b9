<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Table;

use ChalkLadder\Core\Item\Notation\FieldNotes;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/** Rows of cells; what is asked stands in brackets: `| Hour | Fall |`, `| 1 | [0.3 m] |`. */
final class TableNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '|');
    }

    public function rule(array $lines, Names $names): array
    {
        $cells = $given = [];
        $wide = 0;
        foreach ($lines as $r => $line) {
            $row = array_map(trim(...), explode('|', $line->text));
            $wide = max($wide, count($row));
            if ($r > 0 && count($row) !== $wide) {
                throw new NoteFault(sprintf('The first row has %d cells, this one %d.', $wide, count($row)), $line->at);
            }
            foreach ($row as $c => $text) {
                $place = ['row' => $r + 1, 'column' => $c + 1];
                if (preg_match('/^\[(.*)\]$/uD', $text, $m) === 1) {
                    $cells[] = $place + FieldNotes::read($m[1], $line->at, $names);
                } elseif ($text !== '') {
                    $given[] = $place + ['text' => $text];
                }
            }
        }

        return ['rows' => count($lines), 'columns' => $wide, 'cells' => $cells, 'given' => $given];
    }

    public function lines(array $rule, Names $names): ?array
    {
        [$rows, $columns] = [$rule['rows'] ?? 0, $rule['columns'] ?? 0];
        if (!is_int($rows) || !is_int($columns) || $rows < 1 || $columns < 1 || $rows * $columns > 2000) {
            return null;
        }
        $grid = array_fill(1, $rows, array_fill(1, $columns, ''));
        foreach (['cells', 'given'] as $list) {
            foreach (is_array($rule[$list] ?? null) ? $rule[$list] : [] as $cell) {
                $said = is_array($cell) ? ($list === 'given' ? Parts::text($cell, 'text') : FieldNotes::write($cell, $names)) : null;
                [$r, $c] = is_array($cell) ? [$cell['row'] ?? 0, $cell['column'] ?? 0] : [0, 0];
                if ($said === null || !is_int($r) || !is_int($c) || !isset($grid[$r][$c]) || str_contains($said, '|')) {
                    return null;
                }
                $grid[$r][$c] = $list === 'given' ? $said : "[$said]";
            }
        }

        return array_values(array_map(static fn (array $row): string => '| '.implode(' | ', $row).' |', $grid));
    }

    public function renamed(array $rule): array
    {
        return $rule;
    }
}
