<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** A thing that the trail speaks of, as it is now. */
final readonly class TrailSubject
{
    /** @param bool $away archived, off the roster; of a key change, in force and the latest of its question */
    public function __construct(public string $name, public bool $away = false)
    {
    }

    /**
     * @param list<array{id: string, name: string, away: bool}> $rows
     *
     * @return array<string, self>
     */
    public static function byId(array $rows): array
    {
        $subjects = [];
        foreach ($rows as $row) {
            $subjects[$row['id']] = new self($row['name'], $row['away']);
        }

        return $subjects;
    }
}
