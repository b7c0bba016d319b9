<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Paper\Section;
use ChalkLadder\Core\Paper\Source;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use ChalkLadder\Server\Platform\Text\RichText;

/** The team's papers: drafts that save themselves, and their publishing. */
final readonly class Papers
{
    public function __construct(
        private Database $database,
        private Trail $trail,
        private RichText $richText,
        private Bank $bank,
        private Editions $editions,
    ) {
    }

    public function list(string $teamId): PaperListView
    {
        $rows = $this->database->rows("SELECT p.id, p.title, p.updated_at, p.version, s.name AS updater, jsonb_array_length(p.content -> 'sections') AS sections,
                (SELECT count(*) FROM jsonb_path_query(p.content, '$.sections[*].entries[*] ? (@.kind == \"question\")')) AS questions,
                e.id AS edition_id, e.number AS edition, e.of_version,
                (SELECT count(*) FROM handout h JOIN edition e2 ON e2.id = h.edition_id WHERE e2.paper_id = p.id) AS handouts
            FROM paper p JOIN staff s ON s.id = p.updated_by
            LEFT JOIN LATERAL (SELECT id, number, of_version FROM edition WHERE paper_id = p.id ORDER BY number DESC LIMIT 1) e ON true
            WHERE p.team_id = :team AND p.archived_at IS NULL ORDER BY p.updated_at DESC, p.id", ['team' => $teamId]);

        return new PaperListView(array_map(static fn (Row $r): PaperRowView => new PaperRowView(
            $r->text('id'),
            $r->text('title'),
            $r->int('sections'),
            $r->int('questions'),
            $r->textOrNull('edition_id'),
            $r->intOrNull('edition'),
            $r->intOrNull('of_version') !== null && $r->intOrNull('of_version') < $r->int('version'),
            $r->int('handouts'),
            $r->text('updater'),
            $r->time('updated_at'),
        ), $rows));
    }

    public function show(string $teamId, string $id): PaperView
    {
        $row = $this->database->row('SELECT p.content, p.version, p.updated_at, e.id AS edition_id, e.number, e.of_version FROM paper p LEFT JOIN LATERAL (SELECT id, number, of_version FROM edition WHERE paper_id = p.id ORDER BY number DESC LIMIT 1) e ON true WHERE p.id = :id AND p.team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The paper');
        $paper = PaperReader::read($row->json('content'));
        $items = $this->itemsOf($teamId, $paper);

        return new PaperView(
            $id,
            $paper->toArray(),
            $row->int('version'),
            array_map(static fn (ItemTemplate $i): array => $i->toArray(), $items),
            ProofView::of(PaperProof::of($paper, $items)),
            $row->textOrNull('edition_id'),
            $row->intOrNull('number'),
            $row->intOrNull('of_version') !== null && $row->intOrNull('of_version') < $row->int('version'),
            $row->time('updated_at'),
        );
    }

    public function create(StaffUser $who, PaperInput $input): PaperView
    {
        $paper = $this->read($who->teamId, $input->paper);
        $id = $this->database->newId();
        $this->database->insert('paper', ['id' => $id, 'team_id' => $who->teamId, 'title' => $paper->title, 'content' => Json::encode($paper->toArray()), 'updated_by' => $who->id, 'updated_at' => $this->database->now()]);
        $this->trail->note($who, 'add', 'paper', $id, ['title' => $paper->title]);

        return $this->show($who->teamId, $id);
    }

    public function save(StaffUser $who, string $id, PaperInput $input): PaperView
    {
        $paper = $this->read($who->teamId, $input->paper);
        $this->database->together(function () use ($who, $id, $input, $paper): void {
            $this->lock($who, $id, $input->version);
            $this->database->run('UPDATE paper SET title = :title, content = :content, version = version + 1, updated_by = :by, updated_at = :at WHERE id = :id', ['title' => $paper->title, 'content' => Json::encode($paper->toArray()), 'by' => $who->id, 'at' => $this->database->now(), 'id' => $id]);
            $this->trail->note($who, 'change', 'paper', $id, ['version' => $input->version + 1]);
        });

        return $this->show($who->teamId, $id);
    }

    public function publish(StaffUser $who, string $id, PublishInput $input): PaperView
    {
        $this->database->together(function () use ($who, $id, $input): void {
            $paper = PaperReader::read($this->lock($who, $id, $input->version)->json('content'));
            $items = $this->itemsOf($who->teamId, $paper);
            $proof = PaperProof::of($paper, $items);
            if (!$proof->mayPublish()) {
                $first = array_values(array_filter($proof->defects, static fn ($d): bool => $d->blocks))[0]->message ?? '';
                throw new Problem(422, 'This paper cannot be published yet.', $first, extra: ['proof' => ProofView::of($proof)]);
            }
            $number = $this->editions->publish($who, $id, $input->version, $paper, $items);
            $this->trail->note($who, 'publish', 'paper', $id, ['edition' => $number]);
        });

        return $this->show($who->teamId, $id);
    }

    public function archive(StaffUser $who, string $id, bool $away): void
    {
        if ($this->database->run('UPDATE paper SET archived_at = :at WHERE id = :id AND team_id = :team', ['at' => $away ? $this->database->now() : null, 'id' => $id, 'team' => $who->teamId]) === 0) {
            throw Problem::notFound('The paper');
        }
        $this->trail->note($who, $away ? 'archive' : 'restore', 'paper', $id);
    }

    /** The draft as if it were published, for previews and print. Questions that are missing are left out. */
    public function draft(string $teamId, string $id): Edition
    {
        $row = $this->database->row('SELECT content FROM paper WHERE id = :id AND team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The paper');
        $paper = PaperReader::read($row->json('content'));
        $items = $this->itemsOf($teamId, $paper);
        $sections = array_map(static fn (Section $s): Section => new Section($s->id, $s->title, array_values(array_filter($s->entries, static fn (Entry $e): bool => !$e->isQuestion() || isset($items[$e->item ?? '']))), $s->route), $paper->sections);
        $paper = new Paper($paper->title, $sections, $paper->mastery);
        $byEntry = [];
        $ids = [];
        foreach ($paper->questions() as $entry) {
            $byEntry[$entry->id] = $items[$entry->item ?? '']->withPoints($entry->points);
            $ids[$entry->id] = $entry->item ?? '';
        }

        return new Edition($id, $id, 0, $paper->toArray(), array_map(static fn (ItemTemplate $i): array => $i->toArray(), $byEntry), $ids);
    }

    private function lock(StaffUser $who, string $id, int $version): Row
    {
        $row = $this->database->row('SELECT p.version, p.content, s.name AS updater FROM paper p JOIN staff s ON s.id = p.updated_by WHERE p.id = :id AND p.team_id = :team FOR UPDATE OF p', ['id' => $id, 'team' => $who->teamId]) ?? throw Problem::notFound('The paper');
        if ($row->int('version') !== $version) {
            throw Problem::conflict('Somebody saved this paper before you.', sprintf('%s saved it while you were working. Open the newer one; what you changed here has not been saved.', $row->text('updater')), ['version' => $row->int('version')]);
        }

        return $row;
    }

    /** @return array<string, ItemTemplate> */
    private function itemsOf(string $teamId, Paper $paper): array
    {
        $ids = array_values(array_unique(array_map(static fn (Entry $e): string => $e->item ?? '', $paper->questions())));

        return $this->bank->items($teamId, $ids);
    }

    /** @param array<string, mixed> $json */
    private function read(string $teamId, array $json): Paper
    {
        $paper = PaperReader::read($json);
        $pictures = [];
        $sections = [];
        foreach ($paper->sections as $section) {
            $entries = [];
            foreach ($section->entries as $entry) {
                if ($entry->source !== null) {
                    $s = $entry->source;
                    $pictures[] = $s->picture;
                    $entry = Entry::source($entry->id, new Source($s->title, $this->richText->clean($s->html), $s->picture, $s->alt));
                }
                $entries[] = $entry;
            }
            $sections[] = new Section($section->id, $section->title, $entries, $section->route);
        }
        $pictures = array_values(array_unique(array_filter($pictures, is_string(...))));
        if ($pictures !== []) {
            $own = $this->database->row('SELECT count(*) AS n FROM file WHERE team_id = :team AND id::text IN (:ids)', ['team' => $teamId, 'ids' => $pictures]);
            if (($own?->int('n') ?? 0) !== count($pictures)) {
                throw Problem::invalid(['picture' => 'A picture of this paper is not one of the team’s files.']);
            }
        }

        return new Paper($paper->title, $sections, $paper->mastery);
    }
}
