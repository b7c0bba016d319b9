<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

/**
 * Speaks the DevTools protocol with a browser over its pipe: JSON messages, each ended by a NUL. Every request that the page
 * makes is put before a judge, while we wait for whatever we wait for.
 *
 * @see https://chromedevtools.github.io/devtools-protocol/tot/Fetch/
 */
final class BrowserPipe
{
    private const LARGEST = 120_000_000;
    private int $last = 0;
    private string $read = '';

    /**
     * @param resource                     $to
     * @param resource                     $from
     * @param \Closure(): void             $watch called often; throws when it is enough
     * @param \Closure(string, bool): bool $may   whether the page may load an address, and whether it was sent on to it
     */
    public function __construct(
        private readonly mixed $to,
        private readonly mixed $from,
        private readonly \Closure $watch,
        private readonly \Closure $may,
    ) {
        stream_set_blocking($from, false);
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<array-key, mixed> the result
     */
    public function call(string $method, array $parameters, ?string $session = null): array
    {
        $id = $this->send($method, $parameters, $session);
        while (true) {
            $message = $this->next(0.2);
            if ($message !== null && ($message['id'] ?? null) === $id) {
                return is_array($message['result'] ?? null) ? $message['result'] : throw new RenderFailed("$method was refused.");
            }
        }
    }

    /** Whether a condition is true on the page now. */
    public function holds(string $expression, string $session): bool
    {
        $found = $this->call('Runtime.evaluate', ['expression' => $expression], $session)['result'] ?? null;

        return is_array($found) && ($found['value'] ?? null) === true;
    }

    /** Lets the page work for a moment. */
    public function pause(): void
    {
        $until = microtime(true) + 0.05;
        while (microtime(true) < $until) {
            $this->next(0.02);
        }
    }

    /** @param array<array-key, mixed> $result */
    public function text(array $result, string $name): string
    {
        return is_string($result[$name] ?? null) ? $result[$name] : throw new RenderFailed("There is no $name.");
    }

    /** @param array<string, mixed> $parameters */
    private function send(string $method, array $parameters, ?string $session): int
    {
        $message = json_encode(
            [
                'id' => ++$this->last,
                'method' => $method,
                'params' => (object) $parameters,
            ] + ($session === null ? [] : ['sessionId' => $session]),
            JSON_THROW_ON_ERROR,
        )."\0";
        if (@fwrite($this->to, $message) !== strlen($message)) {
            throw new RenderFailed('Chromium does not listen.');
        }

        return $this->last;
    }

    /** @return array<array-key, mixed>|null the next message that is not a request of the page's */
    private function next(float $seconds): ?array
    {
        ($this->watch)();
        $end = strpos($this->read, "\0");
        if ($end === false) {
            $ready = [$this->from];
            $none = null;
            if (@stream_select($ready, $none, $none, 0, (int) (1e6 * $seconds)) === 1) {
                $this->read .= (string) fread($this->from, 1 << 20);
            }
            if (strlen($this->read) > self::LARGEST) {
                throw new RenderFailed('The PDF is too large.');
            }

            return null;
        }
        $message = json_decode(substr($this->read, 0, $end), true);
        $this->read = substr($this->read, $end + 1);
        if (!is_array($message)) {
            return null;
        }
        if (($message['method'] ?? null) === 'Fetch.requestPaused') {
            $this->judge($message);

            return null;
        }

        return $message;
    }

    /** @param array<array-key, mixed> $message */
    private function judge(array $message): void
    {
        $paused = is_array($message['params'] ?? null) ? $message['params'] : [];
        $request = is_array($paused['request'] ?? null) ? $paused['request'] : [];
        $url = is_string($request['url'] ?? null) ? $request['url'] : '';
        $session = is_string($message['sessionId'] ?? null) ? $message['sessionId'] : null;
        $may = ($this->may)($url, isset($paused['redirectedRequestId']));
        $this->send(
            $may ? 'Fetch.continueRequest' : 'Fetch.failRequest',
            ['requestId' => $paused['requestId'] ?? ''] + ($may ? [] : ['errorReason' => 'BlockedByClient']),
            $session,
        );
    }
}
