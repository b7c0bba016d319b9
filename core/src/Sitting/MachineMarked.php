<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** The entries of a paper that a machine marks: the others neither come back nor decide a route. */
final readonly class MachineMarked
{
    /**
     * @param list<string>               $entries ids
     * @param array<string, string|null> $skills  what each is evidence of, by entry id
     * @param list<string>               $drawn   those whose numbers are drawn for each student
     */
    public function __construct(public array $entries, private array $skills = [], private array $drawn = [])
    {
    }

    public function has(string $entry): bool
    {
        return in_array($entry, $this->entries, true);
    }

    /** The skill that the entry is evidence of; null where it names none, or no machine marks it. */
    public function skill(string $entry): ?string
    {
        return $this->has($entry) ? $this->skills[$entry] ?? null : null;
    }

    public function isDrawn(string $entry): bool
    {
        return in_array($entry, $this->drawn, true);
    }

    /** @return list<string> the skills that it is evidence of, each once, in the order of the entries */
    public function skills(): array
    {
        return array_values(array_unique(array_filter(array_map($this->skill(...), $this->entries), is_string(...))));
    }
}
