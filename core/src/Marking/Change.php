<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use ChalkLadder\Core\Item\Outcome;

/** What a change of rule does to one response. */
final readonly class Change
{
    public function __construct(public string $id, public Outcome $before, public Outcome $after, public bool $keptByHand)
    {
    }

    public function altersCredit(): bool
    {
        return match (true) {
            $this->before->credit === null || $this->after->credit === null => $this->before->credit !== $this->after->credit,
            default => !$this->before->credit->isEqualTo($this->after->credit),
        };
    }

    /** Whether anything that is stored changes: credit, the line that fired, or what the response is evidence of. */
    public function altersAnything(): bool
    {
        return $this->altersCredit()
            || $this->before->line !== $this->after->line
            || $this->before->readAs !== $this->after->readAs
            || $this->before->misconceptions !== $this->after->misconceptions;
    }
}
