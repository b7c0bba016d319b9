<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** The entries of a paper that a machine marks: the others neither come back nor decide a route. */
final readonly class MachineMarked
{
    /** @var array<string, int> asked very often */
    private array $places;
    /** @var array<string, int> */
    private array $redrawn;

    /**
     * @param list<string>               $entries ids
     * @param array<string, string|null> $skills  what each is evidence of, by entry id
     * @param list<string>               $drawn   those whose numbers are drawn for each student
     */
    public function __construct(public array $entries, private array $skills = [], array $drawn = [])
    {
        $this->places = array_flip($entries);
        $this->redrawn = array_flip($drawn);
    }

    public function has(string $entry): bool
    {
        return isset($this->places[$entry]);
    }

    /** The skill that the entry is evidence of; null where it names none, or no machine marks it. */
    public function skill(string $entry): ?string
    {
        return $this->has($entry) ? $this->skills[$entry] ?? null : null;
    }

    public function isDrawn(string $entry): bool
    {
        return isset($this->redrawn[$entry]);
    }

    /** @return list<string> the skills that it is evidence of, each once, in the order of the entries */
    public function skills(): array
    {
        return array_values(array_unique(array_filter(array_map($this->skill(...), $this->entries), is_string(...))));
    }
}
