<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** What a return, or taking one back, has done. */
final readonly class ReturnedView
{
    /**
     * @param list<string> $students ids of those whose work was returned or taken back
     * @param list<string> $waiting  names of the students whose answers still wait for a marker
     */
    public function __construct(public array $students, public array $waiting)
    {
    }
}
