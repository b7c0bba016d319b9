<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** How many take one way on from a section, and who they are. */
final readonly class ExitFlowView
{
    /**
     * @param list<int> $abilities of these, in ranges of half a standard deviation from −3 to 3
     * @param int       $wrong     of these, how many their ability alone would have sent elsewhere
     */
    public function __construct(public string $to, public ShareView $students, public array $abilities, public int $wrong)
    {
    }
}
