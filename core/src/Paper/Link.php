<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;

/** The address of a page outside (RFC 3986): on the web, with a host, and without a name or password for it. */
final class Link
{
    private const LONGEST = 500;

    /** @return string|null the address as it is followed; null where there is none */
    public static function read(Node $node, string $key): ?string
    {
        $link = trim($node->textOrNull($key, self::LONGEST) ?? '');
        if ($link === '') {
            return null;
        }
        $parts = preg_match('#^https?://[^\s<>"\'\\\\]+$#iD', $link) === 1 ? parse_url($link) : false;
        if ($parts === false || ($parts['host'] ?? '') === '' || isset($parts['user'])) {
            $node->fault($key, 'This is no address of a page: it begins with https:// and has no spaces.');
        }

        return $link;
    }
}
