<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Stateless protection against forged requests: whatever changes something must carry a header that another site's
 * page cannot send without the browser asking us first, and must not come from another site.
 */
final class SameOriginListener
{
    public const HEADER = 'X-Chalk-Ladder';

    #[AsEventListener(priority: 20)]
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $site = $request->headers->get('Sec-Fetch-Site', 'same-origin');
        $origin = $request->headers->get('Origin');
        if ($request->headers->get(self::HEADER) !== '1'
            || !in_array($site, ['same-origin', 'none'], true)
            || ($origin !== null && $origin !== $request->getSchemeAndHttpHost())) {
            $event->setResponse(ProblemListener::response(new Problem(
                403,
                'This request did not come from Chalk Ladder.',
                'Reload the page and try again.',
            )));
        }
    }
}
