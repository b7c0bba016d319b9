<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Platform\Storage\PlainConnection;
use Doctrine\DBAL\Configuration;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\DriverManager;
use Doctrine\DBAL\Tools\DsnParser;
use PHPUnit\Framework\TestCase;

/** A connection that a worker keeps from one request to the next. */
final class PlainConnectionTest extends TestCase
{
    public function testIsTheSameInTheNextRequest(): void
    {
        $kept = self::connection(true);
        $process = self::process($kept);
        $kept->close();
        self::assertSame($process, self::process($kept));
        self::assertSame('UTF8', $kept->fetchOne('SHOW client_encoding'));
    }

    public function testWhatWasNotEndedIsTakenBack(): void
    {
        $kept = self::connection(true);
        $kept->beginTransaction();
        $kept->executeStatement('CREATE TABLE never_there (id int)');
        $kept->close();
        self::assertNull($kept->fetchOne("SELECT to_regclass('never_there')"));
    }

    public function testTheDatabaseMayHaveBegunAnewMeanwhile(): void
    {
        $kept = self::connection(true);
        $process = self::process($kept);
        $kept->close();
        $other = self::connection(false);
        $other->executeStatement("SELECT pg_terminate_backend($process, 5000)");
        self::assertNotSame($process, self::process($kept), 'nobody is told that it has gone');
    }

    private static function process(Connection $connection): int
    {
        $process = $connection->fetchOne('SELECT pg_backend_pid()');

        return is_int($process) ? $process : self::fail('A process has a number.');
    }

    private static function connection(bool $kept): Connection
    {
        $url = getenv('CHALK_DATABASE');
        self::assertIsString($url);
        $parameters = (new DsnParser(['postgresql' => 'pdo_pgsql', 'pgsql' => 'pdo_pgsql', 'postgres' => 'pdo_pgsql']))->parse($url);

        return DriverManager::getConnection(
            [...$parameters, 'driverOptions' => [\PDO::ATTR_PERSISTENT => $kept]],
            (new Configuration())->setMiddlewares([new PlainConnection()]),
        );
    }
}
