<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** A rule by which questions are drawn from a passage. */
interface Proposes
{
    /** @return list<Candidate> in the order of the passage */
    public function from(Passage $passage): array;
}
