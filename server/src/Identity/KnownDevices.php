<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;

/**
 * Which accounts have signed in on a device before, in a sealed cookie. Such a device keeps its own count of failures, so
 * that a stranger who guesses at an account does not slow down its owner.
 */
final readonly class KnownDevices
{
    private const COOKIE = 'chalk_device';
    /** Accounts that one device remembers, such as the laptops of a trolley. */
    private const MOST = 40;
    private const LENGTH = 16;

    public function __construct(private string $secret, private ClockInterface $clock)
    {
    }

    public function knows(Request $request, string $account): bool
    {
        return in_array($this->name($account), $this->accounts($request), true);
    }

    /** A name for the device's own count. */
    public function key(Request $request): string
    {
        return hash('sha256', Cookies::read(self::COOKIE, $request));
    }

    public function remember(Request $request, string $account): Cookie
    {
        $accounts = array_slice(array_unique([$this->name($account), ...$this->accounts($request)]), 0, self::MOST);
        $list = implode('', $accounts);

        return Cookies::make(
            self::COOKIE,
            $list.'.'.$this->seal($list),
            $this->clock->now()->modify('+1 year'),
            $request,
            Cookies::inFrame($request),
        );
    }

    /** @return list<string> */
    private function accounts(Request $request): array
    {
        [$list, $seal] = explode('.', Cookies::read(self::COOKIE, $request).'.', 3);

        return $list !== '' && hash_equals($this->seal($list), $seal) ? str_split($list, self::LENGTH) : [];
    }

    private function name(string $account): string
    {
        return substr(hash_hmac('sha256', $account, $this->secret), 0, self::LENGTH);
    }

    private function seal(string $list): string
    {
        return hash_hmac('sha256', 'device|'.$list, $this->secret);
    }
}
