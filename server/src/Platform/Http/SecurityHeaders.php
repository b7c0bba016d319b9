<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** What the API answers is data: a browser that opens it by itself runs and frames nothing. Over TLS, it stays there. */
final class SecurityHeaders
{
    private const A_YEAR = 31_536_000;

    #[AsEventListener]
    public function __invoke(ResponseEvent $event): void
    {
        $headers = $event->getResponse()->headers;
        if ($event->getRequest()->isSecure()) {
            $headers->set('Strict-Transport-Security', 'max-age='.self::A_YEAR);
        }
        if (!$headers->has('Content-Security-Policy')) {
            $headers->set('Content-Security-Policy', "default-src 'none'; frame-ancestors 'none'; sandbox");
        }
    }
}
