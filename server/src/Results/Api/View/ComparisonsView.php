<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** The classes of a handout against each other. */
final readonly class ComparisonsView
{
    /** @param list<ClassResultView> $classes */
    public function __construct(public array $classes)
    {
    }
}
