<?php

declare(strict_types=1);

// The least that a worker which stays takes for a request: the same reading and telling as for students, and nothing of the application.
// stay.php SOCKET NUMBER

use ChalkLadder\Server\Platform\Resident\Crew;
use ChalkLadder\Server\Platform\Resident\Worker;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $place, $size] = $argv;
$kernel = new class implements HttpKernelInterface, TerminableInterface {
    public function handle(Request $request, int $type = self::MAIN_REQUEST, bool $catch = true): Response
    {
        return new Response('{}');
    }

    public function terminate(Request $request, Response $response): void
    {
    }
};
(new Crew($place, (int) $size, static fn (Socket $listening) => (new Worker($kernel, static fn () => null))->work($listening)))->run();
