<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Exchange;

use ChalkLadder\Server\Exchange\Renderer;
use ChalkLadder\Server\Exchange\RenderFailed;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;

/** The browser that prints, before a site of its own and a second one that it must never reach. */
final class RendererTest extends TestCase
{
    private string $dir;
    private string $site;
    private string $other;

    /** @var list<resource> */
    private array $servers = [];

    protected function setUp(): void
    {
        $this->dir = sys_get_temp_dir().'/renderer-'.bin2hex(random_bytes(6));
        mkdir($this->dir);
        file_put_contents("$this->dir/router.php", <<<'PHP'
            <?php
            file_put_contents(__DIR__.'/'.$_SERVER['SERVER_PORT'].'.log', $_SERVER['REQUEST_URI']."\n", FILE_APPEND | LOCK_EX);
            if (str_contains($_SERVER['REQUEST_URI'], 'away')) {
                header('Location: '.file_get_contents(__DIR__.'/other').'/redirected', true, 302);
                return true;
            }
            header('Content-Type: text/html');
            readfile(__DIR__.'/page.html');
            return true;
            PHP);
        $this->site = $this->serve();
        $this->other = $this->serve();
        file_put_contents("$this->dir/other", $this->other);
    }

    protected function tearDown(): void
    {
        foreach ($this->servers as $server) {
            proc_terminate($server, 9);
            proc_close($server);
        }
        (new Filesystem())->remove($this->dir);
    }

    public function testItPrintsThePageAndReachesNothingElse(): void
    {
        $away = parse_url($this->other, PHP_URL_HOST).':'.parse_url($this->other, PHP_URL_PORT);
        $this->page(<<<HTML
            <img src="$this->other/image"><iframe src="$this->other/frame"></iframe><img src="/print/paper/away">
            <iframe src="/api/session"></iframe><img src="/print/paper/../../api/items"><link rel="stylesheet" href="/style.css">
            <iframe src="file:///etc/hostname"></iframe><object data="$this->other/object"></object>
            <script>
              fetch('$this->other/fetch').catch(() => 0); navigator.sendBeacon('$this->other/beacon')
              try { new WebSocket('ws://$away/socket') } catch {}
              try { new EventSource('$this->other/events') } catch {}
            </script>
            HTML);

        self::assertStringStartsWith('%PDF', (new Renderer($this->site, false))->pdf('/print/paper/one', static fn (): bool => true));
        self::assertSame([], $this->asked($this->other));
        self::assertEqualsCanonicalizing(['/print/paper/one', '/print/paper/away'], $this->asked($this->site));
    }

    public function testItIsNotLedAway(): void
    {
        $this->page('<meta http-equiv="refresh" content="0;url='.$this->other.'/refresh">');
        $until = microtime(true) + 6;
        try {
            (new Renderer($this->site, false))->pdf('/print/paper/one', static fn (): bool => microtime(true) < $until);
        } catch (RenderFailed) {
            // A page that is sent away and may not go has nothing to print.
        }
        self::assertSame([], $this->asked($this->other));
        self::assertContains('/print/paper/one', $this->asked($this->site));
    }

    private function page(string $html): void
    {
        file_put_contents("$this->dir/page.html", "<!doctype html><title>P</title><main><header><h1>P</h1></header></main>$html");
    }

    /** @return list<string> what was asked of a server */
    private function asked(string $server): array
    {
        $lines = @file("$this->dir/".parse_url($server, PHP_URL_PORT).'.log', FILE_IGNORE_NEW_LINES);

        return $lines === false ? [] : $lines;
    }

    private function serve(): string
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $address = $socket === false ? throw new \RuntimeException('No port.') : (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $none = ['file', '/dev/null', 'w'];
        $server = proc_open([PHP_BINARY, '-S', $address, "$this->dir/router.php"], [1 => $none, 2 => $none], $pipes, $this->dir);
        $this->servers[] = $server === false ? throw new \RuntimeException('No server.') : $server;
        for ($i = 0; $i < 100 && @stream_socket_client("tcp://$address", timeout: 1) === false; ++$i) {
            usleep(50_000);
        }

        return "http://$address";
    }
}
