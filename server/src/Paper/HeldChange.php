<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

/** A change of a key that is about to be taken back, with its edition as it is now. */
final readonly class HeldChange
{
    public function __construct(public PublishedPaper $edition, public string $changeId)
    {
    }
}
