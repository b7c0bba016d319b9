<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Http\ProblemListener;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\RateLimiter\RateLimiterFactory;

/**
 * What anybody may post without being signed in: whoever posts in vain again and again from one address is not read any
 * more for a while.
 */
final readonly class OpenPosts
{
    private const PATHS = ['/api/join', '/api/session'];

    /** @param \Closure(): RateLimiterFactory $limiter made for those alone who post */
    public function __construct(#[AutowireServiceClosure('limiter.open_posts')] private \Closure $limiter)
    {
    }

    /** Before the body is looked at. */
    #[AsEventListener(priority: 40)]
    public function before(RequestEvent $event): void
    {
        if ($event->isMainRequest()
            && self::isOpenPost($event->getRequest())
            && ($this->limiter)()->create($event->getRequest()->getClientIp())->consume(0)->getRemainingTokens() === 0) {
            $event->setResponse(ProblemListener::response(new Problem(429, 'Too many tries.', 'Wait a few minutes, then try again.')));
        }
    }

    #[AsEventListener]
    public function after(ResponseEvent $event): void
    {
        $status = $event->getResponse()->getStatusCode();
        if ($event->isMainRequest() && self::isOpenPost($event->getRequest()) && $status >= 400 && $status !== 429) {
            ($this->limiter)()->create($event->getRequest()->getClientIp())->consume();
        }
    }

    private static function isOpenPost(Request $request): bool
    {
        return $request->isMethod('POST') && in_array($request->getPathInfo(), self::PATHS, true);
    }
}
