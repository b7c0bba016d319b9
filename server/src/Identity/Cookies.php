<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;

/**
 * Our cookies: no script reads them, no other site sends them. Over TLS they are Secure and carry the prefix by which a
 * browser takes them from this host alone.
 */
final class Cookies
{
    private const PREFIX = '__Host-';

    public static function make(string $name, string $value, \DateTimeInterface $until, Request $request): Cookie
    {
        $secure = $request->isSecure();

        return Cookie::create(
            $secure ? self::PREFIX.$name : $name,
            $value,
            $until,
            $secure ? '/' : '/api',
            null,
            $secure,
            true,
            false,
            Cookie::SAMESITE_LAX,
        );
    }

    public static function read(string $name, Request $request): string
    {
        return $request->cookies->getString($request->isSecure() ? self::PREFIX.$name : $name);
    }

    public static function ended(string $name, Request $request): Cookie
    {
        return self::make($name, '', new \DateTimeImmutable('1970-01-02'), $request);
    }
}
