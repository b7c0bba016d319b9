<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class KeyChangeList extends ReadModel
{
    /** The rule of {@see \ChalkLadder\Server\Paper\Entity\Edition::mayBeTakenBack()} for a row `k`. */
    public const UNDOABLE = '(k.undone_at IS NULL AND NOT EXISTS (SELECT 1 FROM key_change l
        WHERE l.edition_id = k.edition_id AND l.entry = k.entry
        AND l.undone_at IS NULL AND (l.made_at, l.id) > (k.made_at, k.id)))';
    private const MOST = 50;

    /** @return list<KeyChangeLine> the latest first */
    public function of(string $editionId, string $entry): array
    {
        /** @var list<array{id: string, rule_before: string, rule_after: string, reason: string, made_at: string, maker: string, undone_at: string|null, undoer: string|null, undoable: bool}> $rows */
        $rows = $this->rows('SELECT k.id, k.rule_before, k.rule_after, k.reason, k.made_at, m.name AS maker, k.undone_at,
            u.name AS undoer, '.self::UNDOABLE.' AS undoable
            FROM key_change k JOIN '.StaffList::NAMES.' m ON m.id = k.made_by LEFT JOIN '.StaffList::NAMES.' u ON u.id = k.undone_by
            WHERE k.edition_id = :edition AND k.entry = :entry ORDER BY k.made_at DESC, k.id DESC LIMIT '.self::MOST, [
            'edition' => $editionId,
            'entry' => $entry,
        ]);

        return array_map(
            static fn (array $r): KeyChangeLine => new KeyChangeLine(
                $r['id'],
                Json::decode($r['rule_before']),
                Json::decode($r['rule_after']),
                $r['reason'],
                $r['maker'],
                Moment::iso($r['made_at']),
                $r['undoer'],
                Moment::isoOrNull($r['undone_at']),
                $r['undoable'],
            ),
            $rows,
        );
    }
}
