<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** What a changed key does to one student's marks on the question. */
final readonly class EffectView
{
    public function __construct(public string $student, public string $given, public string $before, public string $after)
    {
    }
}
