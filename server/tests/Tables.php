<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** A look into the tables, and a hand in them where a test needs what no act can make. */
final readonly class Tables
{
    private Connection $connection;

    public function __construct(private EntityManagerInterface $entities)
    {
        $this->connection = $entities->getConnection();
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return list<Row>
     */
    public function rows(string $sql, array $parameters = []): array
    {
        return array_map(static fn (array $r): Row => new Row($r), $this->connection->fetchAllAssociative($sql, $parameters));
    }

    /** @param array<string, mixed> $parameters */
    public function row(string $sql, array $parameters = []): ?Row
    {
        return $this->rows($sql, $parameters)[0] ?? null;
    }

    /** @param array<string, mixed> $parameters */
    public function run(string $sql, array $parameters = []): void
    {
        $this->connection->executeStatement($sql, $parameters);
        $this->entities->clear();
    }
}
