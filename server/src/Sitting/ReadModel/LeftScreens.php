<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** When a student left the full screen: a row each time, in which seconds only ever count upwards, so that repeats are harmless. */
final readonly class LeftScreens extends ReadModel
{
    /** How often a sitting `s` was left, and for how many seconds in all; as JSON. */
    public const LEFT = '(SELECT json_build_array(count(*), coalesce(sum(l.seconds), 0)) FROM left_screen l WHERE l.sitting_id = s.id)';
    /** Who leaves more often has made the point. */
    private const MOST = 200;

    /** Keeps it of a sitting that is open; otherwise nothing. */
    public function keep(string $sittingId, string $id, int $seconds, \DateTimeImmutable $now): void
    {
        $this->run("INSERT INTO left_screen AS l (sitting_id, id, left_at, seconds)
            SELECT s.id, :leave, :from, :seconds FROM sitting s WHERE s.id = :id AND s.state = 'open'
                AND (SELECT count(*) FROM left_screen o WHERE o.sitting_id = s.id AND o.id <> :leave) < ".self::MOST.'
            ON CONFLICT (sitting_id, id) DO UPDATE SET seconds = greatest(l.seconds, excluded.seconds)', [
            'id' => $sittingId,
            'leave' => $id,
            'from' => Moment::iso($now->modify("-$seconds seconds")),
            'seconds' => $seconds,
        ]);
    }
}
