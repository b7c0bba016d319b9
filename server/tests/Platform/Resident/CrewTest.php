<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform\Resident;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The processes that answer students, as the start script begins them. */
final class CrewTest extends TestCase
{
    private string $place;
    private Process $crew;

    protected function setUp(): void
    {
        $this->place = sys_get_temp_dir().'/chalk-crew-'.bin2hex(random_bytes(6)).'.sock';
        $this->crew = new Process([PHP_BINARY, '-d', 'apc.enable_cli=1', dirname(__DIR__, 3).'/resident.php', $this->place, '2']);
        $this->crew->start();
        self::until(fn (): bool => count($this->workers()) === 2 && file_exists($this->place), 'it begins');
    }

    protected function tearDown(): void
    {
        $this->crew->stop(10);
    }

    public function testWhoGoesIsReplacedAndNobodyIsTurnedAway(): void
    {
        self::assertSame(401, $this->ask());
        self::assertSame(0o660, fileperms($this->place) & 0o777);
        [$one, $other] = $this->workers();
        posix_kill($one, SIGKILL);
        self::until(fn (): bool => count($this->workers()) === 2 && !in_array($one, $this->workers(), true), 'another takes its place');
        self::assertContains($other, $this->workers());
        self::assertStringContainsString("Worker $one has gone by signal 9", $this->crew->getErrorOutput());

        $before = $this->workers();
        $this->crew->signal(SIGHUP);
        self::assertSame([401, 401, 401], [$this->ask(), $this->ask(), $this->ask()]);
        self::until(fn (): bool => count($this->workers()) === 2 && array_intersect($before, $this->workers()) === [], 'all are replaced');
        self::assertSame(401, $this->ask());

        $this->crew->signal(SIGTERM);
        self::assertSame(0, $this->crew->wait());
        self::assertFileDoesNotExist($this->place);
    }

    public function testWorkersWithoutTheirCrewLeave(): void
    {
        $workers = $this->workers();
        $this->crew->signal(SIGKILL);
        self::until(static fn (): bool => array_filter($workers, static fn (int $w): bool => posix_kill($w, 0)) === [], 'they leave');
        @unlink($this->place);
    }

    /** The status of the answer to somebody who is not signed in. */
    private function ask(): int
    {
        $socket = socket_create(AF_UNIX, SOCK_STREAM, 0);
        self::assertInstanceOf(\Socket::class, $socket);
        self::assertTrue(socket_connect($socket, $this->place));
        socket_write($socket, Scgi::bytes(['REQUEST_METHOD' => 'GET', 'REQUEST_URI' => '/api/me', 'SCRIPT_NAME' => '/index.php', 'HTTP_HOST' => 'localhost']));

        return (int) substr((string) socket_read($socket, 65_536), strlen('Status: '), 3);
    }

    /** @return list<int> */
    private function workers(): array
    {
        $pid = $this->crew->getPid();
        $children = $pid === null ? '' : (string) @file_get_contents("/proc/$pid/task/$pid/children");

        return array_map(intval(...), array_values(array_filter(explode(' ', $children), is_numeric(...))));
    }

    /** @param \Closure(): bool $is */
    private static function until(\Closure $is, string $what): void
    {
        $end = microtime(true) + 30;
        while (!$is() && microtime(true) < $end) {
            usleep(5_000);
        }
        self::assertTrue($is(), "Within 30 seconds: $what.");
    }
}
