<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Names for two students who are not to know each other: things of a harbour, that say nothing of anybody. */
final class Aliases
{
    private const THINGS = ['Anchor', 'Beacon', 'Capstan', 'Davit', 'Ebb', 'Fathom', 'Galley', 'Halyard', 'Inlet', 'Jetty', 'Keel', 'Lantern',
        'Mooring', 'Oar', 'Pebble', 'Quay', 'Rudder', 'Sextant', 'Tiller', 'Winch'];

    /** @return array{string, string} two names, not the same; always the same two for a seed */
    public static function two(string $seed): array
    {
        $count = count(self::THINGS);
        $first = crc32($seed) % $count;
        $other = ($first + 1 + crc32("$seed other") % ($count - 1)) % $count;

        return [self::THINGS[$first], self::THINGS[$other]];
    }
}
