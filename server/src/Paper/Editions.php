<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use Symfony\Contracts\Cache\CacheInterface;

/** Published states of papers. Their content never changes; a changed key lies over it as a layer of its own. */
final class Editions
{
    /** @var array<string, Edition> those that this request has used */
    private array $used = [];

    public function __construct(private readonly Database $database, private readonly CacheInterface $cache)
    {
    }

    /** @param int|null $rulesVersion saves a query where the caller has just read it */
    public function load(string $id, ?int $rulesVersion = null): Edition
    {
        $rulesVersion ??= $this->database->row('SELECT rules_version FROM edition WHERE id = :id', ['id' => $id])?->int('rules_version') ?? throw Problem::notFound('The edition');

        return $this->used["$id-$rulesVersion"] ??= $this->cache->get("edition-$id-$rulesVersion", fn (): Edition => $this->read($id));
    }

    /** @param array<string, ItemTemplate> $items by bank id */
    public function publish(StaffUser $who, string $paperId, int $ofVersion, Paper $paper, array $items): int
    {
        $id = $this->database->newId();
        $number = ($this->database->row('SELECT max(number) AS number FROM edition WHERE paper_id = :id', ['id' => $paperId])?->intOrNull('number') ?? 0) + 1;
        $frozen = [];
        $rows = [];
        foreach ($paper->questions() as $entry) {
            $item = $items[$entry->item ?? ''] ?? throw new \LogicException('A paper is proved before it is published.');
            $frozen[$entry->id] = $item->withPoints($entry->points)->toArray();
            $rows[] = [$id, $entry->id, $entry->item];
        }
        $this->database->insert('edition', [
            'id' => $id, 'team_id' => $who->teamId, 'paper_id' => $paperId, 'number' => $number, 'of_version' => $ofVersion,
            'content' => Json::encode(['paper' => $paper->toArray(), 'items' => (object) $frozen]),
            'made_by' => $who->id, 'made_at' => $this->database->now(),
        ]);
        $this->database->insertAll('edition_item', ['edition_id', 'entry', 'item_id'], $rows);
        $files = [];
        foreach ($paper->sections as $section) {
            foreach ($section->entries as $entry) {
                if ($entry->source?->picture !== null) {
                    $files[$entry->source->picture] = [$id, $entry->source->picture];
                }
            }
        }
        $this->database->insertAll('edition_file', ['edition_id', 'file_id'], array_values($files));

        return $number;
    }

    /**
     * Lays a new rule over an entry. Returns the change's id, by which it can be undone.
     *
     * @param array<array-key, mixed> $after as it is written
     */
    public function changeRule(StaffUser $who, Edition $edition, string $entry, array $after, string $reason): string
    {
        $before = $edition->template($entry) ?? throw Problem::notFound('The question');
        $id = $this->database->newId();
        $this->database->insert('key_change', ['id' => $id, 'edition_id' => $edition->id, 'entry' => $entry, 'rule_before' => Json::encode($before->rule()), 'rule_after' => Json::encode($after), 'reason' => $reason, 'made_by' => $who->id, 'made_at' => $this->database->now()]);
        $this->database->run('UPDATE edition SET rules_version = rules_version + 1 WHERE id = :id', ['id' => $edition->id]);

        return $id;
    }

    private function read(string $id): Edition
    {
        $row = $this->database->row('SELECT paper_id, number, content FROM edition WHERE id = :id', ['id' => $id]) ?? throw Problem::notFound('The edition');
        $content = $row->json('content');
        $paper = is_array($content['paper'] ?? null) ? $content['paper'] : [];
        $stored = is_array($content['items'] ?? null) ? $content['items'] : [];
        $documents = $itemIds = $drawnFrom = [];
        foreach (PaperReader::read($paper)->questions() as $entry) {
            $documents[$entry->id] = is_array($stored[$entry->id] ?? null) ? $stored[$entry->id] : throw new \LogicException('An edition holds every question of its paper.');
            $itemIds[$entry->id] = $entry->item ?? '';
        }
        foreach ($this->database->rows('SELECT entry, rule_after FROM key_change WHERE edition_id = :id AND undone_at IS NULL ORDER BY made_at', ['id' => $id]) as $change) {
            $entry = $change->text('entry');
            if (ItemTemplate::isOne($documents[$entry])) {
                $drawnFrom[$entry] ??= $documents[$entry];
            }
            $documents[$entry]['rule'] = $change->json('rule_after');
        }

        return new Edition($id, $row->text('paper_id'), $row->int('number'), $paper, $documents, $itemIds, $drawnFrom);
    }
}
