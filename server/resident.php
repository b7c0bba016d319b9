<?php

declare(strict_types=1);

/*
 * Workers that stay, for the requests of students (docs/decisions/resident.md): resident.php SOCKET NUMBER.
 * Ends on SIGTERM; takes on new workers on SIGHUP.
 */

use ChalkLadder\Server\Kernel;
use ChalkLadder\Server\Platform\Resident\Crew;
use ChalkLadder\Server\Platform\Resident\Worker;
use Doctrine\Persistence\ConnectionRegistry;

require dirname(__DIR__).'/vendor/autoload.php';

[, $place, $size] = $argv;
$kernel = new Kernel($_SERVER['APP_ENV'] ?? 'prod', false);
// Made once, before there are several; nothing in it has asked the database for anything yet.
$kernel->boot();
(new Crew($place, (int) $size, static function (Socket $listening) use ($kernel): void {
    // The process keeps its connection beneath. Taken up anew for each request it is looked at first, and what a request had not
    // ended is rolled back.
    $between = static function () use ($kernel): void {
        $registry = $kernel->getContainer()->get('doctrine');
        foreach ($registry instanceof ConnectionRegistry ? $registry->getConnections() : [] as $connection) {
            $connection->close();
        }
    };
    (new Worker($kernel, $between))->work($listening);
}))->run();
