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

    #[AsEventListener]
    public function flush(TerminateEvent $event): void
    {
        $waiting = $this->waiting;
        $this->waiting = [];
        if ($this->publishSocket === '' || $waiting === []) {
            return;
        }
        $curl = curl_init();
        foreach ($waiting as [$channel, $body]) {
            curl_setopt_array($curl, [
                CURLOPT_UNIX_SOCKET_PATH => $this->publishSocket,
                CURLOPT_URL => 'http://push/publish?channel='.rawurlencode($channel),
                CURLOPT_POST => true,
                CURLOPT_POSTFIELDS => $body,
                CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Expect:'],
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_TIMEOUT_MS => 500,
            ]);
            if (curl_exec($curl) === false) {
                $this->logger->warning('A live message was not published: '.curl_error($curl));
            }
        }
    }
}
