<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Distinctness;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use ChalkLadder\Server\Platform\Text\RichText;
use Symfony\Contracts\Cache\CacheInterface;

/** The team's questions: found, read, written. Every save keeps the version before it. */
final readonly class Bank
{
    private const MOST_LISTED = 200;
    /** The core checks more types than students have inputs for. */
    private const WITH_SCREENS = [ItemType::Choice, ItemType::Text, ItemType::Number, ItemType::Open];
    /** What a check may name besides the variables and earlier questions of the section. */
    private const NAMES = ['answer', 'text', 'table', 'true', 'false', 'pi'];

    public function __construct(private Database $database, private Trail $trail, private RichText $richText, private Terms $terms, private Teams $teams, private Records $records, private CacheInterface $cache)
    {
    }

    public function search(string $teamId, string $text, ?string $skill, ?string $misconception, ?string $type): ItemListView
    {
        $where = 'i.team_id = :team AND i.archived_at IS NULL';
        $parameters = ['team' => $teamId];
        $words = array_slice(array_filter(explode(' ', (string) preg_replace('/\s+/u', ' ', mb_strtolower(mb_substr($text, 0, 200)))), static fn (string $w): bool => $w !== ''), 0, 8);
        foreach ($words as $i => $word) {
            $where .= " AND i.search LIKE :word$i";
            $parameters["word$i"] = '%'.addcslashes($word, '%_\\').'%';
        }
        if ($skill !== null) {
            $where .= ' AND i.skill_id = :skill';
            $parameters['skill'] = $skill;
        }
        if ($misconception !== null) {
            $where .= ' AND :misconception = ANY(i.misconceptions)';
            $parameters['misconception'] = $misconception;
        }
        $types = [];
        foreach ($this->database->rows("SELECT i.type, count(*) AS n FROM item i WHERE $where GROUP BY i.type ORDER BY i.type", $parameters) as $row) {
            $types[$row->text('type')] = $row->int('n');
        }
        if ($type !== null) {
            $where .= ' AND i.type = :type';
            $parameters['type'] = $type;
        }
        $rows = $this->database->rows('WITH record AS (SELECT item_id, count(DISTINCT student_id) AS students, avg(credit_number(credit)) AS facility FROM ('.Records::FIRST_TRIES.") q GROUP BY item_id)
            SELECT i.id, i.title, i.type, i.search, i.content ->> 'points' AS points, i.skill_id, array_to_json(i.misconceptions) AS misconceptions, i.updated_at, a.name AS author,
                   (SELECT count(DISTINCT e.paper_id) FROM edition_item ei JOIN edition e ON e.id = ei.edition_id WHERE ei.item_id = i.id) AS used_in, record.facility, coalesce(record.students, 0) AS students
            FROM item i JOIN staff a ON a.id = i.created_by LEFT JOIN record ON record.item_id = i.id
            WHERE $where ORDER BY i.updated_at DESC, i.id LIMIT ".self::MOST_LISTED, $parameters);

        return new ItemListView(
            array_map(static fn (Row $r): ItemRowView => new ItemRowView(
                $r->text('id'),
                $r->text('title'),
                $r->text('type'),
                self::gist($r->text('search'), $r->text('title')),
                $r->text('points'),
                $r->textOrNull('skill_id'),
                $r->names('misconceptions'),
                $r->text('author'),
                $r->time('updated_at'),
                $r->int('used_in'),
                $r->floatOrNull('facility'),
                $r->int('students'),
            ), $rows),
            $types,
            $type === null ? array_sum($types) : ($types[$type] ?? 0),
        );
    }

    public function show(string $teamId, string $id): ItemView
    {
        $row = $this->database->row('SELECT i.*, a.name AS author, u.name AS updater FROM item i JOIN staff a ON a.id = i.created_by JOIN staff u ON u.id = i.updated_by WHERE i.id = :id AND i.team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The question');
        $item = $this->template($row->json('content'));
        $papers = $this->database->rows("SELECT p.title FROM paper p WHERE p.team_id = :team AND p.archived_at IS NULL AND jsonb_path_exists(p.content, '$.sections[*].entries[*] ? (@.item == \$id)', jsonb_build_object('id', :id::text)) ORDER BY p.title", ['team' => $teamId, 'id' => $id]);

        return new ItemView(
            $id,
            $item->toArray(),
            $row->int('version'),
            $row->text('author'),
            $row->text('updater'),
            $row->time('updated_at'),
            $row->textOrNull('archived_at') !== null,
            self::defects($item),
            array_map(static fn (Row $r): string => $r->text('title'), $papers),
            $this->records->show($id),
        );
    }

    public function create(StaffUser $who, ItemInput $input): SavedView
    {
        $item = $this->read($who->teamId, $input->item);
        $id = $this->database->newId();
        $this->database->together(function () use ($who, $id, $item): void {
            $this->database->insert('item', ['id' => $id, 'team_id' => $who->teamId, 'created_by' => $who->id, 'updated_by' => $who->id, 'updated_at' => $this->database->now()] + $this->columns($item));
            $this->trail->note($who, 'add', 'item', $id, ['title' => $item->sample()->title]);
        });

        return $this->saved($id, 1, $item);
    }

    public function save(StaffUser $who, string $id, ItemInput $input): SavedView
    {
        $item = $this->read($who->teamId, $input->item);
        $version = $this->database->together(function () use ($who, $id, $input, $item): int {
            $row = $this->database->row('SELECT i.version, i.content, i.updated_by, u.name AS updater FROM item i JOIN staff u ON u.id = i.updated_by WHERE i.id = :id AND i.team_id = :team FOR UPDATE OF i', ['id' => $id, 'team' => $who->teamId]) ?? throw Problem::notFound('The question');
            $version = $row->int('version');
            if ($version !== $input->version) {
                throw Problem::conflict('Somebody saved this question before you.', sprintf('%s saved it while you were writing. Your text is still here: copy what you need, then open the newer one.', $row->text('updater')), ['version' => $version]);
            }
            $this->keepRevision($id, $version, $row->text('content'), $row->text('updated_by'));
            $columns = $this->columns($item);
            $sets = implode(', ', array_map(static fn (string $c): string => "$c = :$c", array_keys($columns)));
            $this->database->run("UPDATE item SET $sets, version = version + 1, updated_by = :by, updated_at = :at WHERE id = :id", $columns + ['by' => $who->id, 'at' => $this->database->now(), 'id' => $id]);
            $this->trail->note($who, 'change', 'item', $id, ['version' => $version + 1]);

            return $version + 1;
        });

        return $this->saved($id, $version, $item);
    }

    /** Puts a question out of the list, or back. What uses it keeps it. */
    public function archive(StaffUser $who, string $id, bool $away): void
    {
        $changed = $this->database->run('UPDATE item SET archived_at = :at WHERE id = :id AND team_id = :team', ['at' => $away ? $this->database->now() : null, 'id' => $id, 'team' => $who->teamId]);
        if ($changed === 0) {
            throw Problem::notFound('The question');
        }
        $this->trail->note($who, $away ? 'archive' : 'restore', 'item', $id);
    }

    /**
     * Questions by id, for a paper. Ids of other teams are as good as absent.
     *
     * @param list<string> $ids
     *
     * @return array<string, ItemTemplate>
     */
    public function items(string $teamId, array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $items = [];
        foreach ($this->database->rows('SELECT id::text, content FROM item WHERE team_id = :team AND id::text IN (:ids)', ['team' => $teamId, 'ids' => $ids]) as $row) {
            $items[$row->text('id')] = $this->template($row->json('content'));
        }

        return $items;
    }

    /**
     * Brings a changed key home: the bank's question gets it too, if its rule is still the one that was changed.
     *
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    public function replaceRule(StaffUser $who, string $itemId, array $before, array $after): bool
    {
        $row = $this->database->row('SELECT content, version, updated_by FROM item WHERE id = :id AND team_id = :team FOR UPDATE', ['id' => $itemId, 'team' => $who->teamId]);
        $item = $row === null ? null : ItemTemplate::read($row->json('content'));
        if ($row === null || $item === null || $item->rule() !== $before) {
            return false;
        }
        $this->keepRevision($itemId, $row->int('version'), $row->text('content'), $row->text('updated_by'));
        $columns = $this->columns($item->withRule($after));
        $this->database->run('UPDATE item SET content = :content, misconceptions = :misconceptions, version = version + 1, updated_by = :by, updated_at = :at WHERE id = :id', ['content' => $columns['content'], 'misconceptions' => $columns['misconceptions'], 'by' => $who->id, 'at' => $this->database->now(), 'id' => $itemId]);

        return true;
    }

    /** @return list<DefectView> */
    public static function defects(ItemTemplate $item): array
    {
        return array_map(static fn (Defect $d): DefectView => DefectView::of($d), $item->defects());
    }

    /**
     * A stored question. Walking the draws of its variables takes a while, so what that finds is kept for its content.
     *
     * @param array<array-key, mixed> $content
     */
    private function template(array $content): ItemTemplate
    {
        $template = ItemTemplate::read($content);
        if (!$template->hasVariables()) {
            return $template;
        }
        $found = $this->cache->get('draws-'.hash('sha256', Json::encode($content)), static fn (): array => array_map(static fn (Defect $d): array => [$d->message, $d->blocks], (new Distinctness($template))->defects()));

        return $template->knowing(array_map(static fn (array $d): Defect => $d[1] ? Defect::blocking($d[0]) : Defect::advice($d[0]), $found));
    }

    private function keepRevision(string $id, int $version, string $content, string $by): void
    {
        $this->database->insert('item_revision', ['item_id' => $id, 'version' => $version, 'content' => $content, 'made_by' => $by, 'made_at' => $this->database->now()]);
    }

    /** @param array<string, mixed> $json */
    private function read(string $teamId, array $json): ItemTemplate
    {
        $json = $this->cleaned($json);
        $template = $this->template($this->teams->numberStyle($teamId) === Style::Comma ? self::withCommas($json) : $json);
        $item = $template->sample();
        $fields = [];
        if (!in_array($item->type(), self::WITH_SCREENS, true)) {
            $fields['type'] = 'Questions of this type cannot be put before students yet.';
        }
        foreach ($item->checks as $i => $check) {
            $unknown = array_values(array_filter(array_diff($check->names(), self::NAMES, $template->variables->names()), static fn (string $n): bool => preg_match('/^q[1-9]\d?$/D', $n) !== 1));
            if ($unknown !== []) {
                $fields["checks.$i.when"] = sprintf('“%s” has no value here.', $unknown[0]);
            }
        }
        if ($item->skill !== null && !isset($this->terms->skillNames($teamId)[$item->skill])) {
            $fields['skill'] = 'This skill is not one of the team’s.';
        }
        $strangers = array_diff($item->misconceptions(), array_keys($this->terms->misconceptionNames($teamId)));
        if ($strangers !== []) {
            $fields['rule'] = 'A misconception named here is not one of the team’s.';
        }
        if ($fields !== []) {
            throw Problem::invalid($fields);
        }

        return $template;
    }

    /**
     * The document with its rich texts sanitised. What is not as it should be is left for the reader to refuse.
     *
     * @param array<array-key, mixed> $json
     *
     * @return array<array-key, mixed>
     */
    private function cleaned(array $json): array
    {
        foreach (['prompt', 'hint', 'explanation'] as $key) {
            if (is_string($json[$key] ?? null)) {
                $json[$key] = $this->richText->clean($json[$key]);
            }
        }
        $rule = $json['rule'] ?? null;
        if (is_array($rule) && is_array($rule['options'] ?? null)) {
            $rule['options'] = array_map(fn (mixed $o): mixed => is_array($o) && is_string($o['text'] ?? null) ? ['text' => $this->richText->clean($o['text'])] + $o : $o, $rule['options']);
            $json['rule'] = $rule;
        }

        return $json;
    }

    /**
     * Numbers, in gaps and cells too, are read as the team writes them.
     *
     * @param array<array-key, mixed> $part a question, a gap or a cell: its type and its rule
     *
     * @return array<array-key, mixed>
     */
    private static function withCommas(array $part): array
    {
        $rule = $part['rule'] ?? null;
        if (!is_array($rule)) {
            return $part;
        }
        foreach (['gaps', 'cells'] as $parts) {
            if (is_array($rule[$parts] ?? null)) {
                $rule[$parts] = array_map(static fn (mixed $p): mixed => is_array($p) ? self::withCommas($p) : $p, $rule[$parts]);
            }
        }

        return ['rule' => in_array($part['type'] ?? null, [ItemType::Number->value, ItemType::Expression->value], true) ? $rule + ['style' => Style::Comma->value] : $rule] + $part;
    }

    /** @return array{type: string, title: string, content: string, skill_id: string|null, misconceptions: string, search: string} */
    private function columns(ItemTemplate $written): array
    {
        $item = $written->sample();
        $options = $item->rule instanceof ChoiceRule ? implode(' ', array_map(static fn (Option $o): string => $o->text, $item->rule->options)) : '';
        $title = trim($item->title);
        $prompt = self::plain($item->prompt);

        return [
            'type' => $item->type()->value,
            'title' => $title === '' ? mb_strimwidth($prompt, 0, 60, '…') : $title,
            'content' => Json::encode($written->toArray()),
            'skill_id' => $item->skill,
            'misconceptions' => '{'.implode(',', $item->misconceptions()).'}',
            'search' => mb_strtolower($title."\n".$prompt."\n".self::plain($options)),
        ];
    }

    private function saved(string $id, int $version, ItemTemplate $item): SavedView
    {
        return new SavedView($id, $version, Row::iso($this->database->now()), $item->toArray(), self::defects($item));
    }

    private static function plain(string $html): string
    {
        $spaced = (string) preg_replace('/<[^>]*>/', ' ', $html);

        return trim((string) preg_replace('/\s+/u', ' ', html_entity_decode($spaced, ENT_QUOTES | ENT_HTML5)));
    }

    private static function gist(string $search, string $title): string
    {
        $lines = explode("\n", $search);

        return mb_strimwidth($lines[1] ?? $title, 0, 160, '…');
    }
}
