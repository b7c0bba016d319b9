<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Platform\Http\Problem;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/** Keeps one person from taking the server for themselves. */
final readonly class DearActs
{
    /** @param \Closure(): RateLimiterFactory $limiter made for what is dear alone */
    public function __construct(
        #[AutowireServiceClosure('limiter.dear')]
        private \Closure $limiter,
        private TokenStorageInterface $tokens,
    ) {
    }

    #[AsEventListener]
    public function __invoke(ControllerEvent $event): void
    {
        if ($event->getAttributes(Dear::class) !== []
            && !($this->limiter)()->create($this->tokens->getToken()?->getUserIdentifier())->consume()->isAccepted()) {
            throw new Problem(429, 'One thing after the other.', 'You have asked for much that takes long. Wait a moment, then go on.');
        }
    }
}
