<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;

/** A cookie's token is the whole proof. A stale one counts as none: the request goes on as nobody's. */
abstract class CookieAuthenticator extends AbstractAuthenticator
{
    abstract protected function cookieName(): string;

    abstract protected function user(Request $request, string $token): ?UserInterface;

    public function supports(Request $request): bool
    {
        return Cookies::read($this->cookieName(), $request) !== '';
    }

    public function authenticate(Request $request): SelfValidatingPassport
    {
        $token = Cookies::read($this->cookieName(), $request);

        return new SelfValidatingPassport(new UserBadge(
            SessionProof::hash($token),
            fn (): UserInterface => $this->user($request, $token) ?? throw new UserNotFoundException(),
        ));
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): ?Response
    {
        return null;
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): ?Response
    {
        return null;
    }
}
