<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\ReadModel;

use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class PrintQueue extends ReadModel
{
    /** Seconds after which nobody waits for a PDF any more, whatever its row says. */
    private const LONGEST = 600;

    /** How many are before a job in the queue of all teams, those at work included. */
    public function before(string $id, \DateTimeImmutable $now): int
    {
        /** @var array{n: int} $row */
        $row = $this->row(
            "SELECT count(*) AS n FROM print_job o JOIN print_job j ON j.id = :id
                WHERE o.state IN ('waiting', 'working') AND o.asked_at > :since AND (o.asked_at, o.id) < (j.asked_at, j.id)",
            ['id' => $id, 'since' => self::since($now)],
        );

        return $row['n'];
    }

    /** How many wait for one person. */
    public function of(string $staffId, \DateTimeImmutable $now): int
    {
        /** @var array{n: int} $row */
        $row = $this->row(
            "SELECT count(*) AS n FROM print_job WHERE staff_id = :id AND state IN ('waiting', 'working') AND asked_at > :since",
            ['id' => $staffId, 'since' => self::since($now)],
        );

        return $row['n'];
    }

    public function isCancelled(string $id): bool
    {
        return $this->texts('SELECT state FROM print_job WHERE id = :id', ['id' => $id]) === ['cancelled'];
    }

    public function forgetOld(\DateTimeImmutable $now): void
    {
        $this->run('DELETE FROM print_job WHERE asked_at < :old', ['old' => Moment::stored($now->modify('-1 day'))]);
    }

    private static function since(\DateTimeImmutable $now): string
    {
        return Moment::stored($now->modify('-'.self::LONGEST.' seconds'));
    }
}
