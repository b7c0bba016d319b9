<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Platform;

use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Live\ReadModel\ChannelNumbers;
use ChalkLadder\Server\Tests\ApiCase;
use Psr\Log\NullLogger;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;

/** Live messages reach the screens of every node. */
final class PushTest extends ApiCase
{
    /** @var list<array{string, string, string}> method, publisher, body */
    private array $asked = [];

    public function testAMessageGoesToAllNodesUnderOneNumber(): void
    {
        $push = $this->push('/run/a.sock http://10.0.0.2:8081');
        $push->open('room');
        $push->send('room', ['kind' => 'look']);
        $push->send('room', ['kind' => 'hold', 'words' => 'Look up.']);
        $before = count($this->asked());
        $push->flush();
        self::assertSame(0, $before, 'after the response, not before');
        $numbers = array_map(static fn (array $a): int => \ChalkLadder\Server\Tests\Json::of($a[2])->int('n'), $this->asked());
        self::assertSame(['/run/a.sock', 'http://10.0.0.2:8081', '/run/a.sock', 'http://10.0.0.2:8081'], array_column($this->asked(), 1));
        self::assertSame([$numbers[0], $numbers[0], $numbers[0] + 1, $numbers[0] + 1], $numbers);
    }

    public function testANodeThatIsDownHoldsNobodyUp(): void
    {
        $push = $this->push('/run/down.sock http://10.0.0.2:8081');
        $push->send('room', ['kind' => 'look']);
        $push->flush();
        self::assertSame(['/run/down.sock', 'http://10.0.0.2:8081'], array_column($this->asked(), 1));
        $push->open('room');
        self::assertTrue($push->isWatched('room'), 'somebody listens on the other');
    }

    public function testAChannelIsWatchedWhereAnyNodeKnowsIt(): void
    {
        $push = $this->push('/run/a.sock /run/b.sock');
        self::assertFalse($push->isWatched('room'), 'never opened');
        $push->open('room');
        self::assertFalse($push->isWatched('room'));
        self::assertTrue($this->push('/run/a.sock http://10.0.0.2:8081')->isWatched('room'));
        self::assertFalse($this->push('')->isWatched('room'));
    }

    /** @return list<array{string, string, string}> */
    private function asked(): array
    {
        return $this->asked;
    }

    /** Only the node at 10.0.0.2 holds somebody's stream. */
    private function push(string $publishers): Push
    {
        $http = new MockHttpClient(function (string $method, string $url, array $options): MockResponse {
            $publisher = str_starts_with($url, 'http://push/') ? $this->text($options['bindto']) : substr($url, 0, (int) strpos($url, '/publish'));
            $this->asked[] = [$method, $publisher, $this->text($options['body'] ?? '')];

            return match (true) {
                str_contains($publisher, 'down') => new MockResponse('', ['error' => 'refused']),
                str_contains($publisher, '10.0.0.2') => new MockResponse('{"messages": 1, "subscribers": 1}'),
                default => new MockResponse('', ['http_code' => 404]),
            };
        });

        return new Push(self::service(ChannelNumbers::class), $publishers, static fn (): MockHttpClient => $http, new NullLogger());
    }

    private function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}
