<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * A formula that has been read. `op` says what a node does with its parts:
 *
 * | op | parts | value |
 * | --- | --- | --- |
 * | `number` | | its exact value |
 * | `text`, `name` | | the text or name |
 * | `quantity` | number | the unit's symbol |
 * | `+ - * / ^ and or` | left, right | |
 * | `neg not percent` | one | |
 * | `chain` | compared parts | the signs between them, parted by spaces |
 * | `if` | condition, then, else | |
 * | `call` | arguments | the function's name |
 * | `list` | elements | |
 * | `member` | owner | the member's name |
 */
final readonly class Tree
{
    /** @param list<self> $parts */
    public function __construct(
        public string $op,
        public array $parts = [],
        public BigRational|string|null $value = null,
        public int $at = 0,
    ) {
    }

    public static function number(BigRational|int|string $value, int $at = 0): self
    {
        return new self('number', [], BigRational::of($value)->simplified(), $at);
    }

    public static function name(string $name, int $at = 0): self
    {
        return new self('name', [], $name, $at);
    }

    /** The same formula, wherever its parts stood. */
    public function equals(self $other): bool
    {
        if ($this->op !== $other->op || count($this->parts) !== count($other->parts)) {
            return false;
        }
        $same = $this->value instanceof BigRational && $other->value instanceof BigRational
            ? $this->value->isEqualTo($other->value)
            : $this->value === $other->value;
        foreach ($same ? $this->parts : [] as $i => $part) {
            $same = $same && $part->equals($other->parts[$i]);
        }

        return $same;
    }

    /** @return list<string> the names in it, each once, in order; members count as their owner */
    public function names(): array
    {
        $names = $this->op === 'name' && is_string($this->value) ? [$this->value => true] : [];
        foreach ($this->parts as $part) {
            $names += array_fill_keys($part->names(), true);
        }

        return array_map(strval(...), array_keys($names));
    }

    public function exact(): BigRational
    {
        return $this->value instanceof BigRational ? $this->value : throw new \LogicException('Only a number has an exact value.');
    }

    public function text(): string
    {
        return is_string($this->value) ? $this->value : '';
    }
}
