<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** Where a page comes from: scheme, host and port (RFC 6454, section 6.2). It goes into a header, so nothing else may be in it. */
final class Origin
{
    private const LONGEST = 300;
    private const HOST = '/^(?=.{1,253}$)[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?)*$/D';
    /** What browsers trust without TLS, since it does not leave the machine. */
    private const OWN_MACHINE = ['localhost', '127.0.0.1'];

    /**
     * The origin of an address as somebody types or copies it, of whatever page there; `https` where no scheme is named.
     *
     * @throws \DomainException in words for who typed it
     */
    public static function of(string $address): string
    {
        $address = trim($address);
        if (strlen($address) > self::LONGEST) {
            throw new \DomainException('An address has at most '.self::LONGEST.' signs.');
        }
        $parts = parse_url(preg_match('#^[a-z][a-z0-9+.-]*://#i', $address) === 1 ? $address : "https://$address");
        $host = strtolower($parts['host'] ?? '');
        $scheme = strtolower($parts['scheme'] ?? '');
        if ($parts === false || preg_match(self::HOST, $host) !== 1) {
            throw new \DomainException("“{$address}” is no address of a page, such as https://pages.school.example.");
        }
        if ($scheme !== 'https' && !($scheme === 'http' && in_array($host, self::OWN_MACHINE, true))) {
            throw new \DomainException("“{$address}” has to begin with https://: browsers keep nobody signed in on other pages.");
        }
        $port = $parts['port'] ?? null;
        $usual = $scheme === 'https' ? 443 : 80;

        return "$scheme://$host".($port === null || $port === $usual ? '' : ":$port");
    }
}
