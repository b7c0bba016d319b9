<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Identity\Patience;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Failed sign-ins by what they were aimed at. Counters, not roots: each is one row that statements change by themselves. */
final readonly class Failures extends ReadModel
{
    /** Until the act ends nobody else tries the same: parallel tries wait for each other. */
    public function hold(string $key): void
    {
        $this->holdName($key);
    }

    /** Seconds that are still to be waited. */
    public function wait(string $key, Patience $patience, \DateTimeImmutable $now): int
    {
        /** @var array{failures: int, last_at: string}|null $row */
        $row = $this->row(
            'SELECT failures, last_at FROM sign_in_failure WHERE key = :key AND last_at > :since',
            ['key' => $key, 'since' => Moment::stored($now->modify("-{$patience->forgets} seconds"))],
        );

        return $row === null ? 0 : max(
            0,
            Moment::read($row['last_at'])->getTimestamp() + $patience->wait($row['failures']) - $now->getTimestamp(),
        );
    }

    public function count(string $key, Patience $patience, \DateTimeImmutable $now): void
    {
        $this->run('INSERT INTO sign_in_failure AS f (key, failures, last_at) VALUES (:key, 1, :now)
            ON CONFLICT (key) DO UPDATE SET failures = CASE WHEN f.last_at > :since THEN f.failures + 1 ELSE 1 END,
            last_at = excluded.last_at', [
            'key' => $key,
            'now' => Moment::stored($now),
            'since' => Moment::stored($now->modify("-{$patience->forgets} seconds")),
        ]);
    }

    public function forget(string $key): void
    {
        $this->run('DELETE FROM sign_in_failure WHERE key = :key', ['key' => $key]);
    }

    public function forgetOld(\DateTimeImmutable $now): void
    {
        $this->run('DELETE FROM sign_in_failure WHERE last_at < :old', ['old' => Moment::stored($now->modify('-1 day'))]);
    }
}
