<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;

/**
 * Our cookies: no script reads them, no other site sends them. Over TLS they are Secure and carry the prefix by which a
 * browser takes them from this host alone. Where a student's page stands within a page of others, a browser sends none of
 * these; such a page has cookies of its own, which are kept for that outer page alone (Partitioned), and only over TLS or
 * on the own machine (docs/decisions/frames.md).
 */
final class Cookies
{
    /** By which a page says that it stands within another. */
    private const FRAMED_HEADER = 'X-Chalk-Framed';
    private const FRAMED = '_framed';
    private const PREFIX = '__Host-';

    public static function inFrame(Request $request): bool
    {
        return $request->headers->get(self::FRAMED_HEADER) === '1';
    }

    public static function make(string $name, string $value, \DateTimeInterface $until, Request $request, bool $framed = false): Cookie
    {
        $secure = $request->isSecure();
        if ($framed) {
            $name .= self::FRAMED;
        }

        return Cookie::create(
            $secure ? self::PREFIX.$name : $name,
            $value,
            $until,
            $secure ? '/' : '/api',
            null,
            $secure || $framed,
            true,
            false,
            $framed ? Cookie::SAMESITE_NONE : Cookie::SAMESITE_LAX,
            $framed,
        );
    }

    /** Pictures and streams cannot say that they are asked for within a frame: its cookie, where there is one, goes first. */
    public static function read(string $name, Request $request): string
    {
        $name = $request->isSecure() ? self::PREFIX.$name : $name;

        $framed = $request->cookies->getString($name.self::FRAMED);

        return $framed === '' ? $request->cookies->getString($name) : $framed;
    }

    public static function ended(string $name, Request $request, bool $framed = false): Cookie
    {
        return self::make($name, '', new \DateTimeImmutable('1970-01-02'), $request, $framed);
    }
}
