<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Sitting\Played;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What of sounds and films was played: a row a device, in which each part only ever counts upwards, so that repeats are harmless. */
final readonly class Playing extends ReadModel
{
    /** on which one student plays one thing; what more devices say is not kept */
    private const MOST_DEVICES = 12;

    /** Keeps what a device says of a sitting that is open; otherwise nothing. */
    public function keep(string $sittingId, string $studentId, string $fileId, string $device, Played $played): void
    {
        $this->run("INSERT INTO played AS p (sitting_id, file_id, device, millis, times)
            SELECT s.id, :file, :device, :millis, string_to_array(:times, ',')::smallint[] FROM sitting s
            WHERE s.id = :id AND s.student_id = :who AND s.state = 'open' AND (
                SELECT count(*) FROM played o WHERE o.sitting_id = s.id AND o.file_id = :file AND o.device <> :device
            ) < ".self::MOST_DEVICES.'
            ON CONFLICT (sitting_id, file_id, device) DO UPDATE SET millis = excluded.millis, times = ARRAY(
                SELECT greatest(t.o, t.n) FROM unnest(p.times[1 : cardinality(excluded.times)], excluded.times)
                    WITH ORDINALITY AS t (o, n, i) ORDER BY t.i
            )', [
            'id' => $sittingId, 'who' => $studentId, 'file' => $fileId, 'device' => $device, 'millis' => $played->millis,
            'times' => implode(',', $played->times),
        ]);
    }

    /** @return list<Played> of one thing in one sitting, a device each */
    public function of(string $sittingId, string $fileId): array
    {
        /** @var list<array{millis: int, times: string}> $rows */
        $rows = $this->rows(
            'SELECT millis, to_json(times) AS times FROM played WHERE sitting_id = :id AND file_id = :file',
            ['id' => $sittingId, 'file' => $fileId],
        );

        return array_map(self::played(...), $rows);
    }

    /**
     * What the students of a handout have played in all their attempts.
     *
     * @return array<string, array<string, list<Played>>> by file and student
     */
    public function ofHandout(string $handoutId): array
    {
        /** @var list<array{file_id: string, student_id: string, millis: int, times: string}> $rows */
        $rows = $this->rows('SELECT p.file_id, s.student_id, p.millis, to_json(p.times) AS times
            FROM played p JOIN sitting s ON s.id = p.sitting_id WHERE s.handout_id = :id', ['id' => $handoutId]);
        $of = [];
        foreach ($rows as $row) {
            $of[$row['file_id']][$row['student_id']][] = self::played($row);
        }

        return $of;
    }

    /** @param array{millis: int, times: string, ...} $row */
    private static function played(array $row): Played
    {
        return new Played($row['millis'], array_map(intval(...), Json::numbers($row['times'])));
    }
}
