<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** The open questions of a handout, each with what its second marks say. */
final readonly class ModerationView
{
    /** @param list<AgreementView> $questions */
    public function __construct(public array $questions)
    {
    }
}
