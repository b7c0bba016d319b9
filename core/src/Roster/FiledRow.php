<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** A row of one of a school's files. */
final readonly class FiledRow
{
    /**
     * @param array<string, string> $cells     by column, in lower case
     * @param bool                  $gone      what it tells of is to be removed
     * @param int                   $longestId in bytes
     */
    public function __construct(private array $cells, public int $line, public bool $gone, private int $longestId)
    {
    }

    public function text(string $column): string
    {
        return $this->cells[strtolower($column)] ?? '';
    }

    /** Why this column names nothing; null where it does. */
    public function idFault(string $column): ?string
    {
        $id = $this->text($column);

        return $id === '' || strlen($id) > $this->longestId
            ? sprintf('Its %s is %s.', $column, $id === '' ? 'empty' : sprintf('longer than %d characters', $this->longestId))
            : null;
    }
}
