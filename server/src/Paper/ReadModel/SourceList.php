<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Paper\Api\View\SourceRowView;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Platform\Text\Plain;

/** The sources that the team's papers hold: what can be gone back to, or stand in another paper. */
final readonly class SourceList extends ReadModel
{
    private const MOST = 300;
    private const BEGINS = 120;

    /** @return list<SourceRowView> of the paper that was changed last first, in the order in which they stand there */
    public function all(string $teamId): array
    {
        /** @var list<array{id: string, title: string, entry: string, source: string, html: string, picture: bool}> $rows */
        $rows = $this->rows("SELECT p.id, p.title, e.entry ->> 'id' AS entry, e.entry #>> '{source,title}' AS source,
            left(e.entry #>> '{source,html}', 2000) AS html, e.entry #>> '{source,picture}' IS NOT NULL AS picture
            FROM paper p, jsonb_path_query(p.content, '$.sections[*].entries[*] ? (@.kind == \"source\")')
            WITH ORDINALITY AS e(entry, place)
            WHERE p.team_id = :team AND p.archived_at IS NULL
            ORDER BY p.updated_at DESC, p.id, e.place LIMIT ".self::MOST, ['team' => $teamId]);

        return array_map(static fn (array $r): SourceRowView => new SourceRowView(
            $r['id'],
            $r['title'],
            $r['entry'],
            $r['source'],
            mb_substr(Plain::text((string) preg_replace('/<[^>]*$/', '', $r['html'])), 0, self::BEGINS),
            $r['picture'],
        ), $rows);
    }
}
