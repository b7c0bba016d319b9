<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Platform\Storage\KeptStatement;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\DriverManager;
use Doctrine\DBAL\Exception\InvalidFieldNameException;
use Doctrine\DBAL\Tools\DsnParser;
use PHPUnit\Framework\TestCase;

/** A statement that a connection keeps; on a connection of its own, since tests stand in a transaction. */
final class KeptStatementTest extends TestCase
{
    private const SQL = 'SELECT :word::text AS word, :count::int + 1 AS more, :on::boolean AS on, :none::text AS none, :word::text AS again';
    private const ROW = ['word' => 'O\'Malley; DROP "x" \\ :count $1', 'count' => 4, 'on' => true, 'none' => null];

    private Connection $connection;

    protected function setUp(): void
    {
        $url = getenv('CHALK_DATABASE');
        self::assertIsString($url);
        $this->connection = DriverManager::getConnection(
            (new DsnParser(['postgresql' => 'pdo_pgsql', 'pgsql' => 'pdo_pgsql', 'postgres' => 'pdo_pgsql']))->parse($url),
        );
    }

    protected function tearDown(): void
    {
        $this->connection->close();
    }

    public function testIsPlannedOnceAndTakesAnyValue(): void
    {
        foreach ([1, 2, 3] as $_) {
            self::assertSame(
                ['word' => self::ROW['word'], 'more' => 5, 'on' => true, 'none' => null, 'again' => self::ROW['word']],
                $this->ask(self::ROW),
            );
        }
        self::assertSame('later', $this->ask(['word' => 'later'] + self::ROW)['word'] ?? null);
        self::assertSame([4], $this->connection->fetchFirstColumn(
            "SELECT generic_plans + custom_plans FROM pg_prepared_statements WHERE name LIKE 'kept%'",
        ));
    }

    public function testAConnectionThatDoesNotHaveItAfterAllLearnsItAnew(): void
    {
        $this->ask(self::ROW);
        $this->connection->executeStatement('DEALLOCATE ALL');
        self::assertSame(5, $this->ask(self::ROW)['more'] ?? null);
    }

    public function testAValueThatIsNotGivenIsNoOtherOne(): void
    {
        $this->expectExceptionMessage('asks for :none');
        $this->ask(array_diff_key(self::ROW, ['none' => null]));
    }

    public function testWithinATransactionNothingIsKeptAndNothingEndsIt(): void
    {
        $this->connection->beginTransaction();
        self::assertSame(5, $this->ask(self::ROW)['more'] ?? null);
        self::assertSame([], $this->connection->fetchFirstColumn('SELECT name FROM pg_prepared_statements'));
        $this->connection->rollBack();
    }

    public function testAFaultIsThatOfTheDatabaseLayer(): void
    {
        self::assertNull(KeptStatement::row($this->connection, 'SELECT 1 AS one WHERE :word::text = \'y\'', ['word' => 'x']));
        $this->expectException(InvalidFieldNameException::class);
        KeptStatement::row($this->connection, 'SELECT nothing_like_it FROM (SELECT :word::text AS a) b', ['word' => 'x']);
    }

    /**
     * @param array<string, string|int|bool|null> $row
     *
     * @return array<string, mixed>|null
     */
    private function ask(array $row): ?array
    {
        return KeptStatement::row($this->connection, self::SQL, $row);
    }
}
