<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** How often a route sent a student elsewhere than their ability alone would. */
final readonly class RouteCheckView
{
    /** @param string $section the title of the section it leaves */
    public function __construct(public string $section, public int $students, public ShareView $below, public ShareView $above)
    {
    }
}
