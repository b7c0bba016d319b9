<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * A worker keeps its connection, and the database speaks UTF-8 by itself (ops/lib.sh makes it so): naming the character set anew would be
 * one more round trip in every request. What is kept is looked at when it is taken up again, twice: the first look reads what a server
 * that has gone said last, and finds nothing wrong; only the second finds the end, and begins a new connection.
 */
final readonly class PlainConnection implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                unset($params['charset']);
                if (($params['driverOptions'][\PDO::ATTR_PERSISTENT] ?? false) === true) {
                    parent::connect($params);
                }

                return parent::connect($params);
            }
        };
    }
}
