<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverException;

/**
 * A statement that the database plans once for a connection and then keeps (PREPARE, EXECUTE). A worker's connection outlives its
 * requests, and planning takes several times as long as what the hottest statements then do. Only outside of a transaction: a
 * connection that does not have it after all says so by failing, which would end one (docs/decisions/hot-path.md).
 */
final class KeptStatement
{
    private const UNKNOWN = '26000';
    private const KNOWN = '42P05';
    private const REMEMBERED = 86_400;

    /**
     * @param array<string, string|int|bool|null> $parameters by their names in the statement
     *
     * @return array<string, mixed>|null
     */
    public static function row(Connection $connection, string $sql, array $parameters): ?array
    {
        $pdo = $connection->getNativeConnection();
        if (!$pdo instanceof \PDO || $pdo->inTransaction()) {
            $row = $connection->fetchAssociative($sql, $parameters);

            return $row === false ? null : $row;
        }
        try {
            return self::execute($pdo, $sql, $parameters);
        } catch (\PDOException $failed) {
            throw $connection->convertExceptionDuringQuery(DriverException::new($failed), $sql, $parameters);
        }
    }

    /**
     * @param array<string, string|int|bool|null> $parameters
     *
     * @return array<string, mixed>|null
     */
    private static function execute(\PDO $pdo, string $sql, array $parameters): ?array
    {
        $name = 'kept_'.hash('xxh128', $sql);
        $known = $name.'|'.$pdo->pgsqlGetPid();
        if (apcu_exists($known) !== true) {
            self::prepare($pdo, $name, $sql, array_keys($parameters));
            apcu_store($known, true, self::REMEMBERED);
        }
        try {
            return self::fetch($pdo, $name, $parameters);
        } catch (\PDOException $failed) {
            if ($failed->getCode() !== self::UNKNOWN) {
                throw $failed;
            }
            // Remembered of another connection, whose process had the same number.
            self::prepare($pdo, $name, $sql, array_keys($parameters));

            return self::fetch($pdo, $name, $parameters);
        }
    }

    /** @param list<string> $names of the parameters */
    private static function prepare(\PDO $pdo, string $name, string $sql, array $names): void
    {
        $places = array_flip($names);
        $numbered = (string) preg_replace_callback(
            '/(?<!:):([a-z]\w*)/i',
            static fn (array $m): string => '$'.(1 + ($places[$m[1]] ?? throw new \LogicException("The statement asks for :$m[1]."))),
            $sql,
        );
        try {
            $pdo->exec("PREPARE $name AS $numbered");
        } catch (\PDOException $failed) {
            if ($failed->getCode() !== self::KNOWN) {
                throw $failed;
            }
        }
    }

    /**
     * @param array<string, string|int|bool|null> $parameters
     *
     * @return array<string, mixed>|null
     */
    private static function fetch(\PDO $pdo, string $name, array $parameters): ?array
    {
        // EXECUTE takes no parameters of the protocol; PDO quotes the values.
        $asked = $pdo->prepare("EXECUTE $name(:".implode(', :', array_keys($parameters)).')', [\PDO::ATTR_EMULATE_PREPARES => true]);
        foreach ($parameters as $parameter => $value) {
            $asked->bindValue($parameter, $value, match (true) {
                is_int($value) => \PDO::PARAM_INT,
                is_bool($value) => \PDO::PARAM_BOOL,
                $value === null => \PDO::PARAM_NULL,
                default => \PDO::PARAM_STR,
            });
        }
        $asked->execute();
        /** @var array<string, mixed>|false $row */
        $row = $asked->fetch(\PDO::FETCH_ASSOC);

        return $row === false ? null : $row;
    }
}
