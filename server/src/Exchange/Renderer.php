<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

/**
 * Turns one of our print pages into a PDF by headless Chromium, told what to do over a pipe, so that the leave to read the
 * page stands in no list of processes. It loads the print page, its parts and its data, and nothing else: whatever the page
 * asks for beyond that, or is sent on to, is refused. Bounded in time, processor and memory.
 */
final readonly class Renderer
{
    private const SECONDS = 40;
    /** The signal; its name is known to the command line alone. */
    private const KILL = 9;
    private const CPU_SECONDS = 60;
    /** How far it stands back for others, of 19. */
    private const NICE = 19;
    private const LARGEST_PDF = 60_000_000;
    /** Bytes that the browser's processes may hold together. */
    private const MOST_MEMORY = 1_500_000_000;
    private const READY = "Boolean(document.querySelector('main header h1')) && document.fonts.status === 'loaded' && [...document.images].every((i) => i.complete)";
    private const FAILED = "Boolean(document.querySelector('[role=alert]'))";

    public function __construct(private string $baseUrl, private bool $sandbox)
    {
    }

    /**
     * @param string          $path    of a print page
     * @param \Closure(): bool $goesOn asked every second; false stops the work
     *
     * @throws RenderFailed
     */
    public function pdf(string $path, \Closure $goesOn): string
    {
        $dir = sys_get_temp_dir().'/chalk-print-'.bin2hex(random_bytes(8));
        mkdir($dir, 0o700);
        $pipes = [];
        $process = proc_open(
            [
                'setsid',
                // Whoever saves an answer meanwhile comes first. Where a kernel shares out the processor by sessions, this one's share is
                // made small as a whole.
                'sh',
                '-c',
                'echo '.self::NICE.' 2>/dev/null >/proc/self/autogroup; exec nice -n '.self::NICE.' "$0" "$@"',
                'prlimit',
                '--cpu='.self::CPU_SECONDS,
                '--fsize='.self::LARGEST_PDF,
                '--core=0',
                '--',
                'chromium',
                ...$this->flags($dir),
                'about:blank',
            ],
            [
                0 => ['file', '/dev/null', 'r'],
                1 => ['file', '/dev/null', 'w'],
                2 => ['file', "$dir/errors", 'w'],
                3 => ['pipe', 'r'],
                4 => ['pipe', 'w'],
            ],
            $pipes,
            $dir,
            ['HOME' => $dir, 'XDG_CONFIG_HOME' => $dir, 'XDG_CACHE_HOME' => $dir, 'PATH' => '/usr/local/bin:/usr/bin:/bin'],
        );
        if (!is_resource($process) || !isset($pipes[3], $pipes[4])) {
            throw new RenderFailed('Chromium did not start.');
        }
        try {
            $browser = new BrowserPipe($pipes[3], $pipes[4], $this->watch($process, $goesOn), $this->may(...));

            return $this->print($browser, $this->baseUrl.$path);
        } catch (RenderFailed $e) {
            throw new RenderFailed($e->getMessage().' '.mb_substr((string) @file_get_contents("$dir/errors"), 0, 1000), $e->cancelled, $e);
        } finally {
            self::end($process, $pipes);
            self::remove($dir);
        }
    }

    private function print(BrowserPipe $browser, string $url): string
    {
        $target = $browser->text($browser->call('Target.createTarget', ['url' => 'about:blank']), 'targetId');
        $session = $browser->text($browser->call('Target.attachToTarget', ['targetId' => $target, 'flatten' => true]), 'sessionId');
        $browser->call('Fetch.enable', ['patterns' => [['urlPattern' => '*']]], $session);
        $browser->call('Page.navigate', ['url' => $url], $session);
        do {
            $browser->pause();
            if ($browser->holds(self::FAILED, $session)) {
                throw new RenderFailed('The print page says that it failed.');
            }
        } while (!$browser->holds(self::READY, $session));
        $pdf = base64_decode(
            $browser->text($browser->call('Page.printToPDF', ['printBackground' => true, 'preferCSSPageSize' => true], $session), 'data'),
            true,
        );

        return is_string($pdf) && str_starts_with($pdf, '%PDF') ? $pdf : throw new RenderFailed('Chromium made no PDF.');
    }

    /** Whether the page may load this: the print page, its parts, and the data of the paper. */
    private function may(string $url, bool $redirected): bool
    {
        if (str_starts_with($url, 'data:')) {
            return !$redirected;
        }
        $path = str_starts_with($url, $this->baseUrl.'/') ? substr($url, strlen($this->baseUrl)) : '';

        return !$redirected && preg_match(
            '#^/(?:print/paper/|assets/|api/print/papers/)[^\\\\]*$#D',
            $path,
        ) === 1 && !str_contains($path, '..');
    }

    private static function place(string $url): string
    {
        $port = parse_url($url, PHP_URL_PORT);

        return parse_url($url, PHP_URL_HOST).(is_int($port) ? ':'.$port : '');
    }

    /** @return list<string> */
    private function flags(string $dir): array
    {
        return [
            ...($this->sandbox ? [] : ['--no-sandbox']),
            '--headless', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--disable-dev-shm-usage',
            '--disable-extensions', '--disable-webrtc', '--disable-file-system', '--block-new-web-contents',
            '--renderer-process-limit=1', '--js-flags=--max-old-space-size=256',
            '--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE '.parse_url($this->baseUrl, PHP_URL_HOST),
            // A second lock, for what is asked for in other ways, such as sockets: all but our own place is sent to a proxy
            // that is not there.
            '--proxy-server=http://127.0.0.1:9', '--proxy-bypass-list=<-loopback>;'.self::place($this->baseUrl),
            '--user-data-dir='.$dir, '--remote-debugging-pipe',
        ];
    }

    /**
     * @param resource         $process
     * @param \Closure(): bool $goesOn
     *
     * @return \Closure(): void throws when it is enough
     */
    private function watch(mixed $process, \Closure $goesOn): \Closure
    {
        $until = microtime(true) + self::SECONDS;
        $next = 0.0;

        return static function () use ($process, $goesOn, $until, &$next): void {
            $now = microtime(true);
            if ($now > $until) {
                throw new RenderFailed('It took too long.');
            }
            if ($now < $next) {
                return;
            }
            $next = $now + 1.0;
            $status = proc_get_status($process);
            if (!$status['running']) {
                throw new RenderFailed('Chromium ended early.');
            }
            if (self::memory($status['pid']) > self::MOST_MEMORY) {
                throw new RenderFailed('It took too much memory.');
            }
            if (!$goesOn()) {
                throw new RenderFailed('It was cancelled.', true);
            }
        };
    }

    /** Bytes held by a session's processes; what they share counts once, as its share of each. */
    private static function memory(int $session): int
    {
        $sum = 0;
        $all = glob('/proc/[0-9]*/stat');
        foreach ($all === false ? [] : $all as $stat) {
            $text = (string) @file_get_contents($stat);
            $fields = explode(' ', substr($text, (int) strrpos($text, ')') + 2));
            if ((int) ($fields[3] ?? 0) === $session && preg_match(
                '/^Pss:\s+(\d+) kB/m',
                (string) @file_get_contents(dirname($stat).'/smaps_rollup'),
                $pss,
            ) === 1) {
                $sum += 1024 * (int) $pss[1];
            }
        }

        return $sum;
    }

    /**
     * @param resource                  $process
     * @param array<array-key, resource> $pipes
     */
    private static function end(mixed $process, array $pipes): void
    {
        foreach ($pipes as $pipe) {
            fclose($pipe);
        }
        $pid = proc_get_status($process)['pid'];
        // The whole session, so that no renderer outlives its browser.
        posix_kill(-$pid, self::KILL);
        proc_terminate($process, self::KILL);
        proc_close($process);
    }

    private static function remove(string $dir): void
    {
        (new \Symfony\Component\Filesystem\Filesystem())->remove($dir);
    }
}
