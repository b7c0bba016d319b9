<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Resident;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;

/**
 * Answers one request after the other with one kernel, which sets its services back between them. It leaves, and its {@see Crew} takes
 * on another, when it is asked to, has served long enough or has grown, when its crew is gone, and when anything has gone wrong: what a
 * fault leaves behind serves nobody else.
 */
final class Worker
{
    private const SERVES = 20_000;
    private const MOST_BYTES = 96 * 1024 * 1024;
    /** Seconds after which a request is given up, with the process that has it (as PHP-FPM does, ops/php-fpm.conf). */
    private const LONGEST = 60;
    /** Seconds in which the web server, which has read all of a request, hands it over and takes the answer. */
    private const HANDING_OVER = 10;
    /** Seconds between two looks whether the crew is still there. */
    private const LOOKING_UP = 5;

    private bool $leaving = false;

    /** @param \Closure(): void $between what the kernel does not set back itself */
    public function __construct(private readonly HttpKernelInterface&TerminableInterface $kernel, private readonly \Closure $between)
    {
    }

    public function work(\Socket $listening): void
    {
        pcntl_async_signals(true);
        // Without beginning the call anew, so that waiting ends.
        pcntl_signal(SIGTERM, function (): void {
            $this->leaving = true;
        }, false);
        // Its crew has it begin with signals held back.
        pcntl_sigprocmask(SIG_SETMASK, []);
        socket_set_option($listening, SOL_SOCKET, SO_RCVTIMEO, ['sec' => self::LOOKING_UP, 'usec' => 0]);
        $crew = posix_getppid();
        // Not all of a crew in the same moment.
        $serves = self::SERVES + random_int(0, intdiv(self::SERVES, 4));
        while (!$this->leaving && posix_getppid() === $crew && $serves > 0 && memory_get_usage() < self::MOST_BYTES) {
            $connection = @socket_accept($listening);
            if ($connection !== false) {
                $this->serve($connection);
                --$serves;
            }
        }
    }

    /** Reads one request from a connection, answers it, and does what is left to do when the answer has gone out. */
    public function serve(\Socket $connection): void
    {
        pcntl_alarm(self::LONGEST);
        foreach ([SO_RCVTIMEO, SO_SNDTIMEO] as $way) {
            socket_set_option($connection, SOL_SOCKET, $way, ['sec' => self::HANDING_OVER, 'usec' => 0]);
        }
        try {
            $this->answer($connection, ScgiRequest::read(static fn (): string => self::more($connection)));
        } catch (\UnexpectedValueException $e) {
            self::send($connection, "Status: 400 Bad Request\r\n\r\n");
            error_log('A request could not be read. '.$e->getMessage());
        }
        pcntl_alarm(0);
    }

    private function answer(\Socket $connection, Request $request): void
    {
        $response = $this->guarded(fn (): Response => $this->kernel->handle($request));
        $told = $response === null ? null : $this->guarded(static fn (): string => ScgiAnswer::of($request, $response));
        self::send($connection, $told ?? "Status: 500 Internal Server Error\r\n\r\n");
        if ($response !== null) {
            $this->guarded(fn () => $this->kernel->terminate($request, $response));
            $this->leaving = $this->leaving || $response->getStatusCode() >= Response::HTTP_INTERNAL_SERVER_ERROR;
        }
        $this->guarded($this->between);
    }

    /**
     * @template T
     *
     * @param \Closure(): T $act
     *
     * @return T|null null after a fault, which only the log tells
     */
    private function guarded(\Closure $act): mixed
    {
        try {
            return $act();
        } catch (\Throwable $e) {
            error_log('A request could not be answered. '.$e);
            $this->leaving = true;

            return null;
        }
    }

    public function isLeaving(): bool
    {
        return $this->leaving;
    }

    /** What comes next; nothing at the end, or when it takes too long. */
    private static function more(\Socket $connection): string
    {
        do {
            $bytes = @socket_read($connection, 65_536);
        } while ($bytes === false && self::wasToldMeanwhile($connection));

        return (string) $bytes;
    }

    /** Whoever no longer listens is not waited for. */
    private static function send(\Socket $connection, string $bytes): void
    {
        while ($bytes !== '') {
            $sent = @socket_write($connection, $bytes);
            if ($sent === false && !self::wasToldMeanwhile($connection)) {
                break;
            }
            $bytes = substr($bytes, (int) $sent);
        }
        socket_close($connection);
    }

    /** A signal ends waiting of every kind; what is under way is brought to its end all the same. */
    private static function wasToldMeanwhile(\Socket $connection): bool
    {
        return socket_last_error($connection) === SOCKET_EINTR;
    }
}
