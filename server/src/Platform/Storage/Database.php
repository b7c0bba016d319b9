<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\UuidV7;

/** SQL with parameters in, typed rows out. */
final readonly class Database
{
    public function __construct(private Connection $connection, private ClockInterface $clock)
    {
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return list<Row>
     */
    public function rows(string $sql, array $parameters = []): array
    {
        return Row::all($this->connection->fetchAllAssociative($sql, $parameters, $this->types($parameters)));
    }

    /** @param array<string, mixed> $parameters */
    public function row(string $sql, array $parameters = []): ?Row
    {
        $row = $this->connection->fetchAssociative($sql, $parameters, $this->types($parameters));

        return $row === false ? null : new Row($row);
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return int the number of rows that changed
     */
    public function run(string $sql, array $parameters = []): int
    {
        return (int) $this->connection->executeStatement($sql, $parameters, $this->types($parameters));
    }

    /** @param array<string, mixed> $values by column */
    public function insert(string $table, array $values): void
    {
        $columns = array_keys($values);
        $this->run(sprintf('INSERT INTO %s (%s) VALUES (%s)', $table, implode(', ', $columns), implode(', ', array_map(static fn (string $c): string => ':'.$c, $columns))), $values);
    }

    /**
     * Inserts many rows in few statements.
     *
     * @param list<string>      $columns
     * @param list<list<mixed>> $rows
     */
    public function insertAll(string $table, array $columns, array $rows): void
    {
        foreach (array_chunk($rows, 400) as $chunk) {
            $parameters = [];
            $tuples = [];
            foreach ($chunk as $i => $row) {
                $names = [];
                foreach ($row as $j => $value) {
                    $names[] = ":p{$i}_$j";
                    $parameters["p{$i}_$j"] = $value;
                }
                $tuples[] = '('.implode(', ', $names).')';
            }
            $this->run(sprintf('INSERT INTO %s (%s) VALUES %s', $table, implode(', ', $columns), implode(', ', $tuples)), $parameters);
        }
    }

    /**
     * @template T
     *
     * @param \Closure(): T $act
     *
     * @return T
     */
    public function together(\Closure $act): mixed
    {
        return $this->connection->transactional($act);
    }

    public function newId(): string
    {
        return (new UuidV7())->toRfc4122();
    }

    public function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s.uP');
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, ArrayParameterType|\Doctrine\DBAL\ParameterType>
     */
    private function types(array $parameters): array
    {
        $types = [];
        foreach ($parameters as $name => $value) {
            if (is_array($value)) {
                $types[$name] = ArrayParameterType::STRING;
            } elseif (is_bool($value)) {
                $types[$name] = \Doctrine\DBAL\ParameterType::BOOLEAN;
            }
        }

        return $types;
    }
}
