<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

/**
 * Lists, reports and the few hot writings, as SQL: the rooms' ReadModel folders are the only place where it stands
 * (docs/decisions/native-statements.md). Each reads and writes its own room's tables; what it needs of another's it takes
 * from the fragments that the other's read model offers.
 */
abstract readonly class ReadModel
{
    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param array<string, mixed> $parameters lists become `IN (:name)`
     *
     * @return list<array<string, mixed>>
     */
    protected function rows(string $sql, array $parameters = []): array
    {
        return $this->connection->fetchAllAssociative($sql, $parameters, self::types($parameters));
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, mixed>|null
     */
    protected function row(string $sql, array $parameters = []): ?array
    {
        $row = $this->connection->fetchAssociative($sql, $parameters, self::types($parameters));

        return $row === false ? null : $row;
    }

    /**
     * As {@see row()}, for what is asked so often that planning it anew is what takes the time.
     *
     * @param array<string, string|int|bool|null> $parameters
     *
     * @return array<string, mixed>|null
     */
    protected function keptRow(string $sql, array $parameters): ?array
    {
        return KeptStatement::row($this->connection, $sql, $parameters);
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return list<string> the first column
     */
    protected function texts(string $sql, array $parameters = []): array
    {
        /** @var list<string> $texts a query of this kind asks for text alone */
        $texts = $this->connection->fetchFirstColumn($sql, $parameters, self::types($parameters));

        return $texts;
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, string> the second column by the first
     */
    protected function pairs(string $sql, array $parameters = []): array
    {
        /** @var array<string, string> $pairs a query of this kind asks for text alone */
        $pairs = $this->connection->fetchAllKeyValue($sql, $parameters, self::types($parameters));

        return $pairs;
    }

    /** @param array<string, mixed> $parameters */
    protected function run(string $sql, array $parameters = []): int
    {
        return (int) $this->connection->executeStatement($sql, $parameters, self::types($parameters));
    }

    /** Until the act ends, whoever asks for the same name waits. */
    protected function holdName(string $name): void
    {
        $this->row('SELECT pg_advisory_xact_lock(hashtextextended(:name, 0))', ['name' => $name]);
    }

    /** Until the act ends, whoever {@see holdName()}s it waits; others who share it do not. */
    protected function shareName(string $name): void
    {
        $this->row('SELECT pg_advisory_xact_lock_shared(hashtextextended(:name, 0))', ['name' => $name]);
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, ArrayParameterType|ParameterType>
     */
    private static function types(array $parameters): array
    {
        $types = [];
        foreach ($parameters as $name => $value) {
            if (is_array($value)) {
                $types[$name] = ArrayParameterType::STRING;
            } elseif (is_bool($value)) {
                $types[$name] = ParameterType::BOOLEAN;
            }
        }

        return $types;
    }
}
