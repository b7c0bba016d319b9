<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\VersionLineView;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Earlier versions of a question. */
final readonly class Versions extends ReadModel
{
    private const MOST = 100;

    /** @return list<VersionLineView> the latest first */
    public function before(string $questionId): array
    {
        /** @var list<array{version: int, name: string, made_at: string}> $rows */
        $rows = $this->rows('SELECT r.version, s.name, r.made_at FROM item_revision r JOIN '.StaffList::NAMES.' s ON s.id = r.made_by
            WHERE r.item_id = :id ORDER BY r.version DESC LIMIT '.self::MOST, ['id' => $questionId]);

        return array_map(
            static fn (array $r): VersionLineView => new VersionLineView($r['version'], $r['name'], Moment::iso($r['made_at'])),
            $rows,
        );
    }

    /** @return array<array-key, mixed>|null the document */
    public function content(string $questionId, int $version): ?array
    {
        $found = $this->texts(
            'SELECT content::text FROM item_revision WHERE item_id = :id AND version = :version',
            ['id' => $questionId, 'version' => $version],
        );

        return $found === [] ? null : Json::decode($found[0]);
    }
}
