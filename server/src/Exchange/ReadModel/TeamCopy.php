<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * All rows of a team, as they are stored: out of one database and into another. The names of tables come from the rooms;
 * here is no table of anybody's.
 */
final readonly class TeamCopy
{
    /** @param iterable<TeamTables> $rooms */
    public function __construct(
        private Connection $connection,
        #[AutowireIterator(TeamTables::class)]
        private iterable $rooms,
    ) {
    }

    /** @return iterable<array{string, string}> table, and a row as JSON with its members in a fixed order */
    public function rows(string $teamId): iterable
    {
        foreach ($this->tables() as $table => $condition) {
            foreach ($this->connection->iterateColumn(
                "SELECT to_jsonb(t)::text FROM \"$table\" t WHERE $condition ORDER BY to_jsonb(t)::text COLLATE \"C\"",
                ['team' => $teamId],
            ) as $row) {
                yield [$table, is_string($row) ? $row : ''];
            }
        }
    }

    /**
     * Puts rows back, all of them or none.
     *
     * @param iterable<array{string, string}> $rows
     */
    public function restore(iterable $rows): void
    {
        $known = $this->tables();
        $this->connection->transactional(function () use ($rows, $known): void {
            $this->connection->executeStatement('SET CONSTRAINTS ALL DEFERRED');
            foreach ($rows as [$table, $row]) {
                if (!isset($known[$table])) {
                    throw new \UnexpectedValueException("There is no table $table here.");
                }
                $this->connection->executeStatement(
                    "INSERT INTO \"$table\" SELECT * FROM jsonb_populate_record(NULL::\"$table\", :row::jsonb)",
                    ['row' => $row],
                );
            }
        });
    }

    /** @return array<string, string> */
    private function tables(): array
    {
        $rooms = iterator_to_array($this->rooms, false);
        usort($rooms, static fn (TeamTables $a, TeamTables $b): int => $a->place() <=> $b->place());

        return array_merge(...array_map(static fn (TeamTables $r): array => $r->ofTeam(), $rooms));
    }
}
