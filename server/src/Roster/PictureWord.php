<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

/**
 * Three drawn things that stand for a PIN, for those who do not read numbers yet. They follow from the PIN, so a new PIN is a new word
 * and nothing more is stored; but they are fewer (4 096), so only a class whose teacher wants it comes in by them.
 */
final class PictureWord
{
    public const LENGTH = 3;
    public const THINGS = ['anchor', 'boat', 'buoy', 'crab', 'fish', 'flag', 'gull', 'lamp', 'moon', 'net', 'oar', 'shell', 'star', 'sun', 'wave', 'whale'];

    /** @return list<string> things, in their order; one may stand twice */
    public static function of(string $pin): array
    {
        $hash = hash('sha256', "picture word|$pin", true);
        $things = [];
        for ($i = 0; $i < self::LENGTH; ++$i) {
            $things[] = self::THINGS[ord($hash[$i]) % count(self::THINGS)];
        }

        return $things;
    }
}
