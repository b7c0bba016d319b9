<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Storage\TeamFilter;
use ChalkLadder\Server\Platform\Storage\TeamInForce;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/** Turns the second lock between teams for as long as a request is somebody's ({@see TeamFilter}). */
final readonly class TeamLock
{
    public function __construct(private TeamInForce $force, private TokenStorageInterface $tokens)
    {
    }

    #[AsEventListener]
    public function close(ControllerEvent $event): void
    {
        $user = $this->tokens->getToken()?->getUser();
        $this->force->become($user instanceof TeamMember ? $user->team() : null);
    }

    /** After everything that still works for the request, the live rows among it. */
    #[AsEventListener(priority: -100)]
    public function atTheEnd(TerminateEvent $event): void
    {
        $this->force->become(null);
    }
}
