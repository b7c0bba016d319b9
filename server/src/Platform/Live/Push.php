<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Live;

use ChalkLadder\Server\Platform\Storage\Json;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Small messages to the screens that watch a handout. They leave after the response has been sent, so nobody waits for
 * them; a lost one is made good by the next snapshot.
 */
final class Push
{
    /** @var list<array{string, string}> */
    private array $waiting = [];
    private ?\CurlHandle $curl = null;

    public function __construct(private readonly string $publishSocket, private readonly LoggerInterface $logger)
    {
    }

    /** @param array<string, mixed> $message */
    public function send(string $channel, array $message): void
    {
        $this->waiting[] = [$channel, Json::encode($message)];
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
        if ($this->publishSocket === '') {
            return false;
        }
        $answer = $this->ask($channel, [CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => ['Accept: text/json']]);

        return is_string($answer) && str_contains($answer, '"subscribers"');
    }

    #[AsEventListener]
    public function flush(TerminateEvent $event): void
    {
        $waiting = $this->waiting;
        $this->waiting = [];
        if ($this->publishSocket === '' || $waiting === []) {
            return;
        }
        foreach ($waiting as [$channel, $body]) {
            $this->ask($channel, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Expect:']]);
        }
    }

    /**
     * @param array<int, mixed> $options of curl
     *
     * @return string|null the answer, or null when the publisher could not be reached
     */
    private function ask(string $channel, array $options): ?string
    {
        $this->curl ??= curl_init();
        curl_setopt_array($this->curl, $options + [
            CURLOPT_UNIX_SOCKET_PATH => $this->publishSocket,
            CURLOPT_URL => 'http://push/publish?channel='.rawurlencode($channel),
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT_MS => 500,
        ]);
        $answer = curl_exec($this->curl);
        if (!is_string($answer)) {
            $this->logger->warning('The publisher of live messages was not reached: '.curl_error($this->curl));

            return null;
        }

        return $answer;
    }
}
