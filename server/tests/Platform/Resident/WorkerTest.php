<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform\Resident;

use ChalkLadder\Server\Platform\Resident\Worker;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;

/** One process and one kernel, many students. */
final class WorkerTest extends ApiCase
{
    public function testEachIsAnsweredAsWhoTheyAre(): void
    {
        $kernel = self::$kernel ?? self::fail('There is a kernel.');
        self::assertInstanceOf(TerminableInterface::class, $kernel);
        $cookies = [];
        foreach (['Ada Okafor', 'Cleo Marsh'] as $name) {
            $this->as($this->world->students[$name]);
            [$cookie] = $this->browser->getCookieJar()->all();
            $cookies[$name] = $cookie->getName().'='.$cookie->getRawValue();
        }
        $rests = 0;
        $worker = new Worker($kernel, static function () use (&$rests): void {
            ++$rests;
        });
        foreach (['Ada Okafor', 'Cleo Marsh', null, 'Ada Okafor'] as $name) {
            [$status, $body] = self::served($worker, $name === null ? [] : ['HTTP_COOKIE' => $cookies[$name]]);
            self::assertSame($name === null ? 401 : 200, $status, $body);
            self::assertSame($name, $name === null ? null : Json::of($body)->text('name'));
        }
        self::assertSame(4, $rests);
        self::assertFalse($worker->isLeaving());
    }

    public function testWhatCannotBeReadIsRefusedAndTheNextIsServed(): void
    {
        $worker = new Worker(self::kernel(static fn (): Response => new Response('well')), static fn () => null);
        self::assertSame([400, ''], self::quietly(static fn (): array => self::exchange($worker, "GET / HTTP/1.1\r\n\r\n")));
        self::assertFalse($worker->isLeaving());
        self::assertSame([200, 'well'], self::served($worker));
    }

    public function testAFaultServesNobodyElse(): void
    {
        foreach ([static fn (): Response => new Response('oh', 500), static fn (): Response => throw new \LogicException('Oh.')] as $answer) {
            $rested = false;
            $worker = new Worker(self::kernel($answer), static function () use (&$rested): void {
                $rested = true;
            });
            [$status, $body] = self::quietly(static fn (): array => self::served($worker));
            self::assertSame(500, $status);
            self::assertStringNotContainsString('LogicException', $body);
            self::assertTrue($worker->isLeaving());
            self::assertTrue($rested, 'what was begun is ended');
        }
    }

    public function testWhatIsLeftToDoIsDoneWhenTheAnswerIsOut(): void
    {
        [$here, $there] = self::pair();
        $seen = null;
        $kernel = self::kernel(static fn (): Response => new Response('well'), static function () use ($here, &$seen): void {
            $seen = socket_read($here, 65_536);
        });
        socket_write($here, Scgi::bytes(['REQUEST_METHOD' => 'GET', 'REQUEST_URI' => '/']));
        (new Worker($kernel, static fn () => null))->serve($there);
        self::assertStringEndsWith("\r\n\r\nwell", (string) $seen);
    }

    public function testAFaultAfterTheAnswerTakesNothingFromIt(): void
    {
        $rested = false;
        $worker = new Worker(
            self::kernel(static fn (): Response => new Response('well'), static fn () => throw new \LogicException('Oh.')),
            static function () use (&$rested): void {
                $rested = true;
            },
        );
        self::assertSame([200, 'well'], self::quietly(static fn (): array => self::served($worker)));
        self::assertTrue($worker->isLeaving());
        self::assertTrue($rested);
    }

    public function testARequestThatIsBeingReadIsAnsweredBeforeItLeaves(): void
    {
        [$here, $there] = self::pair();
        $bytes = Scgi::bytes(['REQUEST_METHOD' => 'GET', 'REQUEST_URI' => '/']);
        $process = pcntl_fork();
        if ($process === 0) {
            pcntl_signal(SIGTERM, static fn () => null, false);
            socket_write($there, 'ready');
            (new Worker(self::kernel(static fn (): Response => new Response('well')), static fn () => null))->serve($there);
            posix_kill(posix_getpid(), SIGKILL);
        }
        self::assertSame('ready', socket_read($here, 5));
        socket_write($here, substr($bytes, 0, 20));
        foreach (range(1, 5) as $_) {
            posix_kill($process, SIGTERM);
            usleep(2_000);
        }
        socket_write($here, substr($bytes, 20));
        self::assertStringEndsWith('well', (string) socket_read($here, 65_536));
        pcntl_waitpid($process, $status);
    }

    /**
     * @param array<string, string> $headers
     *
     * @return array{int, string}
     */
    private static function served(Worker $worker, array $headers = []): array
    {
        $usual = ['REQUEST_METHOD' => 'GET', 'REQUEST_URI' => '/api/me', 'SCRIPT_NAME' => '/index.php', 'HTTP_HOST' => 'localhost', 'REMOTE_ADDR' => '127.0.0.1'];

        return self::exchange($worker, Scgi::bytes([...$usual, ...$headers]));
    }

    /** @return array{int, string} */
    private static function exchange(Worker $worker, string $bytes): array
    {
        [$here, $there] = self::pair();
        socket_write($here, $bytes);
        $worker->serve($there);
        $answer = '';
        while (is_string($next = socket_read($here, 65_536)) && $next !== '') {
            $answer .= $next;
        }
        [$head, $body] = explode("\r\n\r\n", $answer, 2) + ['', ''];

        return [(int) substr($head, strlen('Status: '), 3), $body];
    }

    /** @return array{\Socket, \Socket} */
    private static function pair(): array
    {
        self::assertTrue(socket_create_pair(AF_UNIX, SOCK_STREAM, 0, $pair));
        self::assertIsArray($pair);
        [$here, $there] = $pair;
        self::assertInstanceOf(\Socket::class, $here);
        self::assertInstanceOf(\Socket::class, $there);

        return [$here, $there];
    }

    /**
     * What is said of a fault is for the log.
     *
     * @template T
     *
     * @param \Closure(): T $act
     *
     * @return T
     */
    private static function quietly(\Closure $act): mixed
    {
        $before = ini_set('error_log', '/dev/null');
        try {
            return $act();
        } finally {
            ini_set('error_log', (string) $before);
        }
    }

    /**
     * @param \Closure(): Response  $answer
     * @param \Closure(): void|null $after
     */
    private static function kernel(\Closure $answer, ?\Closure $after = null): HttpKernelInterface&TerminableInterface
    {
        return new class($answer, $after) implements HttpKernelInterface, TerminableInterface {
            /**
             * @param \Closure(): Response  $answer
             * @param \Closure(): void|null $after
             */
            public function __construct(private readonly \Closure $answer, private readonly ?\Closure $after)
            {
            }

            public function handle(Request $request, int $type = self::MAIN_REQUEST, bool $catch = true): Response
            {
                return ($this->answer)();
            }

            public function terminate(Request $request, Response $response): void
            {
                if ($this->after !== null) {
                    ($this->after)();
                }
            }
        };
    }
}
