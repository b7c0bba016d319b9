<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\CorrectedAnswer;

/** Which answers of a sitting stand as a teacher has corrected them: no longer once the student has answered again. */
final readonly class Corrected extends ReadModel
{
    /** @return array<string, array<int, CorrectedAnswer>> the latest, by entry and try */
    public function of(string $sittingId): array
    {
        /** @var list<array{id: string, entry: string, try: int, given: string, why: string, by: string|null, made_at: string}> $rows */
        $rows = $this->rows('SELECT c.id, c.entry, c.try, c.given, c.why, st.name AS by, c.made_at FROM '.SittingTables::CORRECTIONS.' c
            LEFT JOIN '.StaffList::NAMES.' st ON st.id = c.made_by
            WHERE c.sitting_id = :id ORDER BY c.made_at', ['id' => $sittingId]);
        $of = [];
        foreach ($rows as $row) {
            $of[$row['entry']][$row['try']] = new CorrectedAnswer(
                $row['id'],
                ResponseReader::fromArray(Json::decode($row['given'])),
                $row['why'],
                $row['by'] ?? '',
                Moment::iso($row['made_at']),
            );
        }

        return $of;
    }
}
