<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** What becomes of one student in one class. */
final readonly class PlannedStudent
{
    public const ADD = 'add';
    public const JOIN = 'join';
    public const BACK = 'back';
    public const LEAVE = 'leave';
    public const HERE = 'here';
    public const CLASH = 'clash';

    /**
     * @param string|null $id   null for somebody who is made, or was made in a class before
     * @param string      $fate add: made; join: known, comes into the class; back: was in it before; leave; here: stays; clash: somebody
     *                          else in the class goes by the name, nothing is done
     */
    public function __construct(public string $sourceId, public ?string $id, public string $name, public string $fate)
    {
    }
}
