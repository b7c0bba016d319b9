<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Live;

use ChalkLadder\Server\Platform\Live\ReadModel\ChannelNumbers;
use ChalkLadder\Server\Platform\Storage\Json;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Messenger\Event\WorkerMessageHandledEvent;
use Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface;
use Symfony\Contracts\HttpClient\HttpClientInterface;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Small messages to the screens that watch a handout, numbered by channel. They leave after the response has been sent, so nobody
 * waits for them; a screen that misses a number takes a snapshot.
 */
final class Push implements ResetInterface
{
    private const SECONDS = 0.5;

    /** @var list<array{string, array<string, mixed>}> */
    private array $waiting = [];

    /** @param \Closure(): HttpClientInterface $http made where something is told or asked */
    public function __construct(
        private readonly ChannelNumbers $numbers,
        /** where messages are published, parted by blanks: sockets, or addresses of other nodes; '' for nowhere */
        private readonly string $publishSocket,
        #[AutowireServiceClosure('http_client')]
        private readonly \Closure $http,
        private readonly LoggerInterface $logger,
    ) {
    }

    /** @param array{kind: string, ...<string, mixed>} $message */
    public function send(string $channel, array $message): void
    {
        $this->waiting[] = [$channel, $message];
    }

    /** Somebody is about to listen. */
    public function open(string $channel): void
    {
        $this->numbers->open($channel);
    }

    /** The number of the last message: whatever is read after asking holds what it told. 0 before the first. */
    public function last(string $channel): int
    {
        return $this->numbers->last($channel);
    }

    public function reset(): void
    {
        $this->waiting = [];
    }

    public static function teachers(string $handoutId): string
    {
        return 'handout-'.$handoutId;
    }

    public static function students(string $handoutId): string
    {
        return 'sitters-'.$handoutId;
    }

    /**
     * Whether a screen listens to a channel now, or did so a moment ago. One that comes later begins with a snapshot, so it
     * misses nothing. The publisher's count of listeners is not to be trusted: for a while it is zero on the workers of
     * nginx that do not hold the connection. That the channel is known at all is told by each of them.
     */
    public function isWatched(string $channel): bool
    {
        // Most handouts are never looked at while they run; those need not ask.
        if ($this->publishSocket === '' || $this->numbers->last($channel) === 0) {
            return false;
        }
        foreach ($this->ask('GET', $channel) as $answer) {
            if (str_contains($answer, '"subscribers"')) {
                return true;
            }
        }

        return false;
    }

    /** Ends every stream that listens to a channel. */
    public function cut(string $channel): void
    {
        if ($this->publishSocket !== '') {
            $this->ask('DELETE', $channel);
        }
    }

    #[AsEventListener(event: TerminateEvent::class)]
    #[AsEventListener(event: WorkerMessageHandledEvent::class)]
    public function flush(): void
    {
        $waiting = $this->waiting;
        $this->waiting = [];
        if ($this->publishSocket === '' || $waiting === []) {
            return;
        }
        foreach ($waiting as [$channel, $message]) {
            $this->ask('POST', $channel, Json::encode(['n' => $this->numbers->next($channel)] + $message));
        }
    }

    /**
     * @param 'GET'|'POST'|'DELETE' $method
     *
     * @return list<string> the answers of the publishers that could be reached
     */
    private function ask(string $method, string $channel, ?string $body = null): array
    {
        $asked = $answers = [];
        foreach (explode(' ', $this->publishSocket) as $publisher) {
            $isAddress = str_starts_with($publisher, 'http');
            $asked[] = ($this->http)()->request($method, ($isAddress ? $publisher : 'http://push').'/publish?channel='.rawurlencode($channel), [
                'timeout' => self::SECONDS,
                'max_duration' => self::SECONDS,
                'headers' => ['Accept' => 'text/json', 'Content-Type' => 'application/json'],
                'body' => $body ?? '',
            ] + ($isAddress ? [] : ['bindto' => $publisher]));
        }
        // All have been asked by now: several nodes take no longer than the slowest.
        foreach ($asked as $response) {
            try {
                $answers[] = $response->getContent(false);
            } catch (TransportExceptionInterface $e) {
                $this->logger->warning('A publisher of live messages was not reached: '.$e->getMessage());
            }
        }

        return $answers;
    }
}
