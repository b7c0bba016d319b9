<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Resident;

/**
 * Processes that wait together at one socket. Whoever leaves is replaced. On SIGHUP all are replaced, each when it has answered what it
 * has; on SIGTERM the crew ends likewise. Nobody who asks meanwhile is turned away: they wait at the socket.
 */
final class Crew
{
    private const SIGNALS = [SIGCHLD, SIGHUP, SIGTERM];
    /** Requests that wait at the socket before the web server is told that nobody comes. */
    private const WAITING = 512;
    /** Milliseconds that a worker's place stays empty, so that one that cannot begin does not begin a thousand times a second. */
    private const BREATH = 200;
    /** Seconds that those who are to leave have for it: as long as the longest request. */
    private const PATIENCE = 60;

    /** @var array<int, true> by process number */
    private array $workers = [];

    /** @param \Closure(\Socket): void $work what a worker does until it leaves; signals are held back until it is ready for them */
    public function __construct(private readonly string $place, private readonly int $size, private readonly \Closure $work)
    {
    }

    /** Returns when the crew has been told to end and all have left. */
    public function run(): void
    {
        // They are waited for, so that none comes between a look and a rest.
        pcntl_sigprocmask(SIG_BLOCK, self::SIGNALS);
        $listening = $this->listen();
        while (true) {
            while (count($this->workers) < $this->size) {
                $this->takeOn($listening);
            }
            match (pcntl_sigwaitinfo(self::SIGNALS)) {
                SIGCHLD => $this->seeOff(),
                SIGHUP => $this->tellAll(SIGTERM),
                SIGTERM => $ends = true,
                default => null,
            };
            if (isset($ends)) {
                break;
            }
        }
        socket_close($listening);
        @unlink($this->place);
        $this->end();
    }

    private function listen(): \Socket
    {
        @unlink($this->place);
        $socket = socket_create(AF_UNIX, SOCK_STREAM, 0);
        $before = umask(0o117);
        $listens = $socket !== false && socket_bind($socket, $this->place) && socket_listen($socket, self::WAITING);
        umask($before);

        return $listens ? $socket : throw new \RuntimeException("$this->place cannot be listened at: ".socket_strerror(socket_last_error()));
    }

    private function takeOn(\Socket $listening): void
    {
        $process = pcntl_fork();
        if ($process < 0) {
            throw new \RuntimeException('No further process can be begun.');
        }
        if ($process === 0) {
            ($this->work)($listening);
            exit(0);
        }
        $this->workers[$process] = true;
    }

    /** Takes note of those who have left; several may have by one signal. */
    private function seeOff(): void
    {
        while (($process = pcntl_waitpid(-1, $status, WNOHANG)) > 0) {
            /** @var int $status */
            unset($this->workers[$process]);
            $why = self::fault($status);
            if ($why !== null) {
                error_log("Worker $process has gone by $why; another takes its place.");
                usleep(1000 * self::BREATH);
            }
        }
    }

    /** What has ended a process that did not leave as it should. */
    private static function fault(int $status): ?string
    {
        return match (true) {
            pcntl_wifsignaled($status) => 'signal '.pcntl_wtermsig($status),
            pcntl_wexitstatus($status) !== 0 => 'status '.pcntl_wexitstatus($status),
            default => null,
        };
    }

    private function tellAll(int $signal): void
    {
        foreach (array_keys($this->workers) as $process) {
            posix_kill($process, $signal);
        }
    }

    private function end(): void
    {
        // Told again, since one may have been told in the moment before it began to wait.
        for ($seconds = 0; $this->workers !== []; ++$seconds) {
            $this->tellAll($seconds < self::PATIENCE ? SIGTERM : SIGKILL);
            $this->seeOffWithin(1.0);
        }
    }

    private function seeOffWithin(float $seconds): void
    {
        for ($until = microtime(true) + $seconds; $this->workers !== [] && microtime(true) < $until;) {
            pcntl_sigtimedwait([SIGCHLD], $info, 0, 100_000_000);
            $this->seeOff();
        }
    }
}
