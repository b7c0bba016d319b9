<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Names for students who are not to be known, or for teams of them: things of a harbour, that say nothing of anybody. */
final class Aliases
{
    private const THINGS = ['Anchor', 'Beacon', 'Capstan', 'Davit', 'Ebb', 'Fathom', 'Galley', 'Halyard', 'Inlet', 'Jetty', 'Keel', 'Lantern',
        'Mooring', 'Oar', 'Pebble', 'Quay', 'Rudder', 'Sextant', 'Tiller', 'Winch'];

    /**
     * @param int<1, 20> $count
     *
     * @return list<string> so many names, no two the same; always the same ones for a seed
     */
    public static function some(string $seed, int $count): array
    {
        $drawn = [];
        foreach (self::THINGS as $thing) {
            $drawn[$thing] = crc32("$seed $thing");
        }
        asort($drawn);

        return array_slice(array_keys($drawn), 0, $count);
    }
}
