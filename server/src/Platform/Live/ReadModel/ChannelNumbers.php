<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Live\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/**
 * The number of the last message of each channel. A screen knows by them what a snapshot holds already and when a message is missing.
 * A channel begins at the microseconds of the clock: should the numbers be lost, those that follow are higher all the same.
 */
final readonly class ChannelNumbers extends ReadModel
{
    public function next(string $channel): int
    {
        return (int) ($this->texts(
            'INSERT INTO live_channel (channel, number) VALUES (:channel, (extract(epoch FROM clock_timestamp()) * 1000000)::bigint)
            ON CONFLICT (channel) DO UPDATE SET number = live_channel.number + 1 RETURNING number',
            ['channel' => $channel],
        )[0] ?? 0);
    }

    /** A channel that somebody is about to listen to has a number from then on. */
    public function open(string $channel): void
    {
        $this->run(
            'INSERT INTO live_channel (channel, number) VALUES (:channel, (extract(epoch FROM clock_timestamp()) * 1000000)::bigint)
            ON CONFLICT (channel) DO NOTHING',
            ['channel' => $channel],
        );
    }

    /** 0 where nobody has listened yet, and so nothing was sent. */
    public function last(string $channel): int
    {
        /** @var array{number: int}|null $row */
        $row = $this->keptRow('SELECT number FROM live_channel WHERE channel = :channel', ['channel' => $channel]);

        return $row['number'] ?? 0;
    }
}
