<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Resident;

use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;

/**
 * A request as the web server hands it over by SCGI (Schemenauer, "SCGI: A Simple Common Gateway Interface alternative", 2008): a
 * netstring of names and values, each ended by a zero byte, then the body. The same names as PHP finds in $_SERVER.
 */
final readonly class ScgiRequest
{
    private const MOST_HEADERS = 65_536;
    /** The web server lets no more through (client_max_body_size in ops/nginx.conf). */
    private const MOST_BODY = 4 * 1024 * 1024;

    /**
     * @param \Closure(): string $more the next bytes that have come; none at the end
     *
     * @throws \UnexpectedValueException when what comes is not such a request, is too large, or ends too early
     */
    public static function read(\Closure $more): Request
    {
        $bytes = '';
        // A length of at most five digits, and its colon.
        self::fill($bytes, 7, $more);
        if (preg_match('/^([1-9]\d{0,4}):/', $bytes, $m) !== 1 || (int) $m[1] > self::MOST_HEADERS) {
            throw new \UnexpectedValueException('It does not begin with the length of its headers.');
        }
        $from = strlen($m[0]);
        $end = $from + (int) $m[1];
        self::fill($bytes, $end + 1, $more);
        $server = self::headers(substr($bytes, $from, $end - $from));
        if ($bytes[$end] !== ',' || ($server['SCGI'] ?? '') !== '1') {
            throw new \UnexpectedValueException('It is not a request by SCGI.');
        }
        $length = $server['CONTENT_LENGTH'] ?? '';
        if (preg_match('/^\d{0,7}$/', $length) !== 1 || (int) $length > self::MOST_BODY) {
            throw new \UnexpectedValueException('Its body has no length that may be.');
        }
        self::fill($bytes, $end + 1 + (int) $length, $more);
        parse_str($server['QUERY_STRING'] ?? '', $query);

        return new Request($query, [], [], self::cookies($server['HTTP_COOKIE'] ?? ''), [], $server, substr($bytes, $end + 1, (int) $length));
    }

    /** @param \Closure(): string $more */
    private static function fill(string &$bytes, int $upTo, \Closure $more): void
    {
        while (strlen($bytes) < $upTo) {
            $next = $more();
            if ($next === '') {
                throw new \UnexpectedValueException('It ends too early.');
            }
            $bytes .= $next;
        }
    }

    /** @return array<string, string> */
    private static function headers(string $written): array
    {
        $parts = explode("\0", $written);
        if (array_pop($parts) !== '' || count($parts) % 2 !== 0) {
            throw new \UnexpectedValueException('A header has no value.');
        }
        $headers = [];
        foreach (array_chunk($parts, 2) as [$name, $value]) {
            $headers[$name] = $value;
        }

        return $headers;
    }

    /** @return array<string, string> of several of one name the first, which is of the closest path (RFC 6265, 5.4) */
    private static function cookies(string $header): array
    {
        $cookies = [];
        foreach (HeaderUtils::parseQuery($header, true, ';') as $name => $values) {
            $first = is_array($values) ? $values[0] ?? null : null;
            if (is_string($first)) {
                $cookies[(string) $name] = $first;
            }
        }

        return $cookies;
    }
}
