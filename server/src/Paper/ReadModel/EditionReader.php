<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Server\Bank\RichQuestion;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Doctrine\DBAL\Connection;

/** Editions as they are shown and marked: under the keys that hold now. */
final readonly class EditionReader extends ReadModel
{
    public function __construct(Connection $connection, private RichQuestion $rich)
    {
        parent::__construct($connection);
    }

    public function rulesVersion(string $id): ?int
    {
        /** @var array{rules_version: int}|null $row */
        $row = $this->row('SELECT rules_version FROM edition WHERE id = :id', ['id' => $id]);

        return $row['rules_version'] ?? null;
    }

    /** @return array{id: string, number: int, of_version: int}|null the latest edition of a paper */
    public function latest(string $paperId): ?array
    {
        /** @var array{id: string, number: int, of_version: int}|null $row */
        $row = $this->row(
            'SELECT id, number, of_version FROM edition WHERE paper_id = :id ORDER BY number DESC LIMIT 1',
            ['id' => $paperId],
        );

        return $row;
    }

    /** @return list<array{id: string, number: int, made: string, by: string}> editions of a paper, the latest first */
    public function all(string $paperId, int $most): array
    {
        /** @var list<array{id: string, number: int, made_at: string, name: string}> $rows */
        $rows = $this->rows('SELECT e.id, e.number, e.made_at, s.name FROM edition e JOIN '.StaffList::NAMES.' s ON s.id = e.made_by
            WHERE e.paper_id = :id ORDER BY e.number DESC LIMIT '.$most, ['id' => $paperId]);

        return array_map(
            static fn (array $r): array => ['id' => $r['id'], 'number' => $r['number'], 'made' => Moment::iso($r['made_at']), 'by' => $r['name']],
            $rows,
        );
    }

    /** The latest edition of a paper with this entry. */
    public function asking(string $paperId, string $entry): ?string
    {
        return $this->texts(
            'SELECT e.id::text FROM edition e JOIN edition_item i ON i.edition_id = e.id
            WHERE e.paper_id = :id AND i.entry = :entry ORDER BY e.number DESC LIMIT 1',
            ['id' => $paperId, 'entry' => $entry],
        )[0] ?? null;
    }

    public function read(string $id): ?PublishedPaper
    {
        /** @var array{paper_id: string, number: int, content: string}|null $row */
        $row = $this->row('SELECT paper_id, number, content FROM edition WHERE id = :id', ['id' => $id]);
        if ($row === null) {
            return null;
        }
        $content = Json::decode($row['content']);
        $paper = is_array($content['paper'] ?? null) ? $content['paper'] : [];
        $stored = is_array($content['items'] ?? null) ? $content['items'] : [];
        $documents = $itemIds = $drawnFrom = [];
        foreach (PaperReader::read($paper)->questions() as $entry) {
            $documents[$entry->id] = is_array($stored[$entry->id] ?? null)
                ? $stored[$entry->id]
                : throw new \LogicException('An edition holds every question of its paper.');
            $itemIds[$entry->id] = $entry->item ?? '';
        }
        /** @var list<array{entry: string, rule_after: string}> $changes */
        $changes = $this->rows(
            'SELECT entry, rule_after FROM key_change WHERE edition_id = :id AND undone_at IS NULL ORDER BY made_at, id',
            ['id' => $id],
        );
        foreach ($changes as $change) {
            $entry = $change['entry'];
            if (ItemTemplate::isOne($documents[$entry])) {
                $drawnFrom[$entry] ??= $documents[$entry];
            }
            $documents[$entry]['rule'] = Json::decode($change['rule_after']);
        }

        // What was written before the gate stood is cleaned here; the result is kept, so it costs once.
        return new PublishedPaper(
            $id,
            $row['paper_id'],
            $row['number'],
            $paper,
            array_map($this->rich->cleaned(...), $documents),
            $itemIds,
            array_map($this->rich->cleaned(...), $drawnFrom),
        );
    }
}
