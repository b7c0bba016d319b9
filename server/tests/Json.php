<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use PHPUnit\Framework\Assert;

/** A decoded body, read by path: `text('rows.0.name')`. */
final readonly class Json
{
    private function __construct(private mixed $value)
    {
    }

    public static function of(string $body): self
    {
        return new self($body === '' ? null : json_decode($body, true, 64, JSON_THROW_ON_ERROR));
    }

    public function at(string $path): mixed
    {
        $value = $this->value;
        foreach ($path === '' ? [] : explode('.', $path) as $key) {
            Assert::assertIsArray($value, "There is nothing at $path.");
            Assert::assertArrayHasKey($key, $value, "There is no $key of $path.");
            $value = $value[$key];
        }

        return $value;
    }

    public function text(string $path): string
    {
        $value = $this->at($path);
        Assert::assertIsString($value);

        return $value;
    }

    public function int(string $path): int
    {
        $value = $this->at($path);
        Assert::assertIsInt($value);

        return $value;
    }

    /** @return list<self> */
    public function list(string $path): array
    {
        $value = $this->at($path);
        Assert::assertIsArray($value);

        return array_map(static fn (mixed $v): self => new self($v), array_values($value));
    }

    /** @return list<mixed> one member of each element */
    public function column(string $path, string $key): array
    {
        return array_map(static fn (self $one): mixed => $one->at($key), $this->list($path));
    }

    /** @return array<array-key, mixed> */
    public function map(string $path): array
    {
        $value = $this->at($path);
        Assert::assertIsArray($value);

        return $value;
    }
}
