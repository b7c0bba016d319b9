<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Quantity;
use ChalkLadder\Core\Formula\Unit;

/**
 * A response as conditions name it: `answer` (a number, a quantity, a text or a list), `text` as it was typed; of gaps
 * each by its id; of a table `table.r2c1`, `table.r2`, `table.c1`.
 */
final class Inputs
{
    /** @return array<string, mixed> */
    public static function of(Rule $rule, Response $response): array
    {
        $inputs = ['text' => $response->text, 'answer' => self::answer($rule, $response)];
        foreach ($response->gaps as $id => $gap) {
            $inputs[(string) $id] = self::value($gap);
        }
        if ($response->cells !== []) {
            $inputs['table'] = self::table($response->cells);
        }

        return $inputs;
    }

    /** A number or quantity where the text is one, else the text. */
    public static function value(string $text): BigRational|Quantity|string
    {
        $read = NumberText::read($text);
        if ($read === null) {
            return $text;
        }
        $unit = $read->unit === '' ? null : Unit::named($read->unit);

        return match (true) {
            $read->unit === '' => $read->value,
            $unit === null => $text,
            default => new Quantity($read->value, $unit),
        };
    }

    private static function answer(Rule $rule, Response $response): mixed
    {
        return match (true) {
            $response->options !== [] => count($response->options) === 1 ? $response->options[0] : $response->options,
            $response->order !== [] => $response->order,
            $rule instanceof NumberRule => $rule->understood($response->text)[1] ?? self::inUnit(self::value($response->text), $rule->unit),
            default => $response->text,
        };
    }

    /** A number question that asks for a unit sees the bare number, counted in that unit. */
    private static function inUnit(BigRational|Quantity|string $value, string $unit): BigRational|Quantity|string|float
    {
        $asked = $unit === '' ? null : Unit::named($unit);

        return $value instanceof Quantity && $asked !== null ? $value->in($asked)->number ?? $value : $value;
    }

    /**
     * @param list<list<string>> $cells
     *
     * @return array<string, mixed>
     */
    private static function table(array $cells): array
    {
        $table = $rows = $columns = [];
        foreach ($cells as $i => $row) {
            foreach ($row as $j => $cell) {
                $value = self::value($cell);
                $table['r'.($i + 1).'c'.($j + 1)] = $value;
                $rows['r'.($i + 1)][] = $value;
                $columns['c'.($j + 1)][] = $value;
            }
        }

        return $table + $rows + $columns;
    }
}
