<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class AnswersSavedView
{
    /** @param list<KeptView> $kept */
    public function __construct(public array $kept, public string $state, public string $at)
    {
    }
}
