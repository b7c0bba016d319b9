<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Exchange\CsvTable;

/** Reads a table of responses, one line a student, into columns. */
final class ResponseTable
{
    /**
     * @param array<string, array{key: string, points: float}>|null $key
     *
     * @return list<Question>
     */
    public static function questions(CsvTable $table, string $name, ?array $key): array
    {
        self::students($table, $name);
        $ids = array_slice($table->header, 1);
        $cells = $credits = $picks = $options = [];
        // A table holds few different cells, many times: each is read once.
        $known = $picked = [];
        $keys = array_map(static fn (string $id): string => $key[$id]['key'] ?? '', $ids);
        foreach ($table->rows as $row) {
            $given = array_slice($row['cells'], 1);
            foreach (Cell::ofOrder(array_map(static fn (string $c): bool => $c !== '', $given)) as $i => $cell) {
                $cells[$i][] = $cell;
                $text = $given[$i];
                if ($key === null) {
                    $credit = $text === '' ? null : $known[$text] ??= self::credit($text, $name, $row['line'], $i + 2);
                    $picks[$i][] = [];
                } else {
                    $pick = $text === '' ? [] : $picked[$text] ??= [self::letter($text, $name, $row['line'], $i + 2)];
                    $picks[$i][] = $pick;
                    $credit = null;
                    if ($pick !== []) {
                        $right = $pick[0] === $keys[$i];
                        $credit = $right ? 1.0 : 0.0;
                        $options[$i][$pick[0]] = $right;
                    }
                }
                $credits[$i][] = $cell === Cell::Omitted ? 0.0 : $credit;
            }
        }

        return array_map(static function (string $id, int $i) use ($key, $cells, $credits, $picks, $options): Question {
            $known = $options[$i] ?? [];
            if ($key !== null) {
                $known[$key[$id]['key']] = true;
            }
            ksort($known);

            return new Question(
                $id,
                $key === null ? 1.0 : $key[$id]['points'],
                $known,
                $cells[$i] ?? [],
                $credits[$i] ?? [],
                $picks[$i] ?? [],
            );
        }, $ids, array_keys($ids));
    }

    private static function credit(string $text, string $name, int $line, int $column): float
    {
        $credit = MeasureCommand::number($text, "$name:$line:$column");
        if ($credit < 0 || $credit > 1) {
            throw new \UnexpectedValueException("$name:$line:$column: credit lies between 0 and 1");
        }

        return $credit;
    }

    private static function letter(string $text, string $name, int $line, int $column): string
    {
        $letter = strtoupper($text);

        return preg_match('/^[A-Z]$/D', $letter) === 1
            ? $letter
            : throw new \UnexpectedValueException("$name:$line:$column: \"$text\" is not the letter of an option");
    }

    private static function students(CsvTable $table, string $name): void
    {
        $seen = [];
        foreach ($table->rows as $row) {
            $id = $row['cells'][0];
            if (isset($seen[$id])) {
                throw new \UnexpectedValueException(sprintf(
                    '%s:%d:1: the student "%s" stands twice, first in line %d',
                    $name,
                    $row['line'],
                    $id,
                    $seen[$id],
                ));
            }
            $seen[$id] = $row['line'];
        }
    }
}
