<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Roster\ReadModel\RosterList;

/** Codes that classes are joined by. */
final readonly class ClassCodes
{
    /** Without letters and digits that look alike on a projector. */
    private const LETTERS = 'BCDFGHJKLMNPRSTVWXZ';
    private const LONG = 5;

    public function __construct(private RosterList $list)
    {
    }

    /** One that no class has. */
    public function fresh(): string
    {
        do {
            $code = '';
            for ($i = 0; $i < self::LONG; ++$i) {
                $code .= self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)];
            }
        } while ($this->list->hasCode($code));

        return $code;
    }
}
