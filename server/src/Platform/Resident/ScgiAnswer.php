<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Resident;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** An answer as the web server wants it by SCGI: headers as of a CGI script (RFC 3875, 6.2), then the body. */
final readonly class ScgiAnswer
{
    public static function of(Request $request, Response $response): string
    {
        $body = self::body($response);
        $code = $response->getStatusCode();
        $head = ["Status: $code ".(Response::$statusTexts[$code] ?? '')];
        /** @var array<string, list<string>> $headers */
        $headers = $response->headers->allPreserveCase();
        foreach ($headers as $name => $values) {
            foreach ($values as $value) {
                $head[] = "$name: $value";
            }
        }
        // Without it the web server would send pieces. What has no body, or one that the web server fetches, says nothing of it.
        if ($body !== '' && !$request->isMethod('HEAD') && !$response->headers->has('Content-Length')) {
            $head[] = 'Content-Length: '.strlen($body);
        }

        return implode("\r\n", $head)."\r\n\r\n".$body;
    }

    private static function body(Response $response): string
    {
        $content = $response->getContent();
        if (is_string($content)) {
            return $content;
        }
        ob_start();
        try {
            $response->sendContent();
        } finally {
            $sent = ob_get_clean();
        }

        return is_string($sent) ? $sent : '';
    }
}
