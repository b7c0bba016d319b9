<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

final readonly class LookAlikeView
{
    /** @param list<int> $answers places in the desk's list of answers */
    public function __construct(public string $label, public array $answers)
    {
    }
}
