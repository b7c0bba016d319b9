<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use ChalkLadder\Server\Platform\Storage\Json;

/** A database row with typed columns. A column of another type is a fault of the query, hence a logic exception. */
final readonly class Row
{
    /** @param array<string, mixed> $columns */
    public function __construct(private array $columns)
    {
    }

    public function text(string $column): string
    {
        return $this->textOrNull($column) ?? throw new \LogicException("Column $column is null.");
    }

    public function textOrNull(string $column): ?string
    {
        $value = $this->value($column);

        return match (true) {
            $value === null, is_string($value) => $value,
            is_int($value), is_float($value) => (string) $value,
            is_resource($value) => (string) stream_get_contents($value),
            default => throw new \LogicException("Column $column is not text."),
        };
    }

    public function int(string $column): int
    {
        return $this->intOrNull($column) ?? throw new \LogicException("Column $column is null.");
    }

    public function intOrNull(string $column): ?int
    {
        $value = $this->value($column);

        return $value === null ? null : (is_numeric($value) ? (int) $value : throw new \LogicException("Column $column is not a number."));
    }

    public function float(string $column): float
    {
        return $this->floatOrNull($column) ?? throw new \LogicException("Column $column is null.");
    }

    public function floatOrNull(string $column): ?float
    {
        $value = $this->value($column);

        return $value === null
            ? null
            : (is_numeric($value) ? (float) $value : throw new \LogicException("Column $column is not a number."));
    }

    public function bool(string $column): bool
    {
        return (bool) $this->value($column);
    }

    /** @return array<array-key, mixed> */
    public function json(string $column): array
    {
        return Json::decode($this->text($column));
    }

    private function value(string $column): mixed
    {
        if (!array_key_exists($column, $this->columns)) {
            throw new \LogicException("There is no column $column.");
        }

        return $this->columns[$column];
    }
}
