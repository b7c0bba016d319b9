<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

/** A mark that was given, beside what stood before. */
final readonly class MarkedByHand
{
    public function __construct(public StoredSitting $sitting, public Answer $before, public HandMark $mark)
    {
    }
}
