<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/**
 * One pass through a section: which entries were shown, in which order, for which try. Later passes of a round hold missed questions
 * alone.
 */
final readonly class Visit
{
    /**
     * @param list<string> $entries entry ids in the order shown, sources among them
     * @param int          $round   how often the section has been entered, this time among them
     */
    public function __construct(public string $section, public int $try, public array $entries, public int $round = 1)
    {
    }

    /** @return array{section: string, try: int, entries: list<string>, round?: int} */
    public function toArray(): array
    {
        return ['section' => $this->section, 'try' => $this->try, 'entries' => $this->entries] + ($this->round === 1 ? [] : ['round' => $this->round]);
    }
}
