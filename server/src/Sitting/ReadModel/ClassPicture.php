<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\Api\View\PictureView;

/** How all who had a handout did at each of its questions, without anybody's name. */
final readonly class ClassPicture extends ReadModel
{
    /** Among fewer, one could tell who it was. */
    private const LEAST = 5;

    /** @return array<string, PictureView> first answers of first attempts that are marked, by entry; without questions that few answered */
    public function of(string $handoutId): array
    {
        /** @var list<array{entry: string, n: int, right: int, part: int}> $rows */
        $rows = $this->rows('SELECT r.entry, count(*) AS n, count(*) FILTER (WHERE '.SittingTables::CREDIT." = '1') AS right,
            count(*) FILTER (WHERE ".SittingTables::CREDIT." NOT IN ('0', '1')) AS part
            FROM ".SittingTables::SITTINGS.' s JOIN '.SittingTables::RESPONSES.' r ON r.sitting_id = s.id AND r.try = 1
            WHERE s.handout_id = :id AND s.attempt = 1 AND '.SittingTables::OVER.' AND '.SittingTables::SAYS.'
            AND '.SittingTables::CREDIT." IS NOT NULL AND r.verdict <> 'said' GROUP BY r.entry HAVING count(*) >= ".self::LEAST, [
            'id' => $handoutId,
        ]);

        return array_column(
            array_map(static fn (array $r): array => [$r['entry'], new PictureView($r['n'], $r['right'], $r['part'])], $rows),
            1,
            0,
        );
    }
}
