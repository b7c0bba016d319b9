<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ViewEvent;

/** What a controller returns becomes JSON: a view's public properties, or 204 for nothing. */
final class ViewListener
{
    #[AsEventListener]
    public function __invoke(ViewEvent $event): void
    {
        $view = $event->getControllerResult();
        $response = $view === null
            ? new Response(null, 204)
            : JsonResponse::fromJsonString(json_encode(
                $view,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ));
        $response->headers->set('Cache-Control', 'no-store');
        $event->setResponse($response);
    }
}
