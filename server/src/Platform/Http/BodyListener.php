<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * The first to look at what comes in: size, depth, number of members, and text that could not be stored. What passes is
 * decoded once; whoever reads the body afterwards finds it under {@see DECODED}.
 */
final class BodyListener
{
    public const DECODED = '_json';
    /** Bytes. What anybody may post without being signed in is short. */
    private const LARGEST = 2_000_000;
    private const LARGEST_OPEN = 4_000;
    private const OPEN = ['/api/join', '/api/session'];
    private const DEEPEST = 32;
    private const MOST_MEMBERS = 60_000;

    #[AsEventListener(priority: 30)]
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest()) {
            return;
        }
        $problem = self::queryFault($request) ?? ($request->isMethodSafe() ? null : self::bodyFault($request));
        if ($problem !== null) {
            $event->setResponse(ProblemListener::response($problem));
        }
    }

    private static function queryFault(Request $request): ?Problem
    {
        $faulty = null;
        $query = $request->query->all();
        array_walk_recursive($query, static function (mixed $value, int|string $key) use (&$faulty): void {
            if (!self::isText((string) $key) || (is_string($value) && !self::isText($value))) {
                $faulty = mb_scrub((string) $key);
            }
        });

        return $faulty === null ? null : new Problem(
            400,
            'The address could not be read.',
            'It holds signs that are no text.',
            [$faulty => 'This is no text.'],
        );
    }

    private static function bodyFault(Request $request): ?Problem
    {
        if ($request->getContentTypeFormat() !== 'json') {
            return null;
        }
        $body = $request->getContent();
        if (strlen($body) > (in_array($request->getPathInfo(), self::OPEN, true) ? self::LARGEST_OPEN : self::LARGEST)) {
            return Problem::tooMuch();
        }
        if ($body === '') {
            return null;
        }
        if (substr_count($body, ':') + substr_count($body, ',') > self::MOST_MEMBERS && self::members($body) > self::MOST_MEMBERS) {
            return new Problem(413, 'This has too many parts.', 'Take fewer at once. What you typed is still here.');
        }
        $decoded = json_decode($body, true, self::DEEPEST);
        if (!is_array($decoded) || ($decoded !== [] && array_is_list($decoded))) {
            return new Problem(400, 'The request could not be read.', 'Its body is not the JSON that is expected here.');
        }
        // A NUL can stand in JSON as an escape alone.
        $fault = str_contains($body, '\u0000') ? self::nul($decoded, '') : null;
        if ($fault !== null) {
            return Problem::invalid([$fault => 'This holds a sign that is no text.']);
        }
        $request->attributes->set(self::DECODED, $decoded);

        return null;
    }

    /** Commas and colons outside of texts: as many as there are members. */
    private static function members(string $body): int
    {
        $bare = (string) preg_replace('/"(?:[^"\\\\]++|\\\\.)*+"/s', '', $body);

        return substr_count($bare, ':') + substr_count($bare, ',');
    }

    /**
     * @param array<array-key, mixed> $part
     *
     * @return string|null where the first NUL is
     */
    private static function nul(array $part, string $path): ?string
    {
        foreach ($part as $key => $value) {
            $here = $path === '' ? (string) $key : "$path.$key";
            if (str_contains((string) $key, "\0")) {
                return $path === '' ? 'body' : $path;
            }
            if (is_string($value) && str_contains($value, "\0")) {
                return $here;
            }
            $inside = is_array($value) ? self::nul($value, $here) : null;
            if ($inside !== null) {
                return $inside;
            }
        }

        return null;
    }

    private static function isText(string $value): bool
    {
        return mb_check_encoding($value, 'UTF-8') && !str_contains($value, "\0");
    }
}
