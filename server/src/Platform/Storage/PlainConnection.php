<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * A worker keeps its connection, and the database speaks UTF-8 by itself (ops/lib.sh makes it so): naming the character set anew would be
 * one more round trip in every request.
 */
final readonly class PlainConnection implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                unset($params['charset']);

                return parent::connect($params);
            }
        };
    }
}
