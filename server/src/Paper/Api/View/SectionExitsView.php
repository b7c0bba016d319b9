<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class SectionExitsView
{
    /** @param list<ExitProofView> $exits in their order, the last way among them */
    public function __construct(public string $section, public array $exits)
    {
    }
}
