<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\FollowUp;
use ChalkLadder\Core\Paper\Paper as Draft;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Paper\Section;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\RichQuestion;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Api\View\ChangedQuestionView;
use ChalkLadder\Server\Paper\Api\View\PaperListView;
use ChalkLadder\Server\Paper\Api\View\PaperView;
use ChalkLadder\Server\Paper\Api\View\ProofView;
use ChalkLadder\Server\Paper\Api\View\SourceListView;
use ChalkLadder\Server\Paper\Entity\Edition;
use ChalkLadder\Server\Paper\Entity\Paper;
use ChalkLadder\Server\Paper\ReadModel\BankChanges;
use ChalkLadder\Server\Paper\ReadModel\EditionReader;
use ChalkLadder\Server\Paper\ReadModel\PaperList;
use ChalkLadder\Server\Paper\ReadModel\SourceList;
use ChalkLadder\Server\Paper\Repository\EditionRepository;
use ChalkLadder\Server\Paper\Repository\PaperRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Platform\Text\RichText;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** The team's papers: drafts that save themselves, and their publishing. */
final readonly class Papers
{
    public function __construct(
        private PaperRepository $papers,
        private EditionRepository $editions,
        private EditionReader $published,
        private Editions $loaded,
        private PaperList $list,
        private SourceList $sources,
        private BankChanges $bankChanges,
        private QuestionKinds $kinds,
        private Bank $bank,
        private Files $files,
        private RichText $richText,
        private RichQuestion $richQuestion,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function sources(string $teamId): SourceListView
    {
        return new SourceListView($this->sources->all($teamId));
    }

    public function list(string $teamId): PaperListView
    {
        return new PaperListView($this->list->all($teamId));
    }

    public function show(string $teamId, string $id): PaperView
    {
        $paper = $this->papers->find($teamId, $id) ?? throw Problem::notFound('The paper');
        $draft = $paper->content();
        $items = $this->itemsOf($teamId, $draft);
        $latest = $this->published->latest($id);
        $changed = $latest === null ? [] : $this->changed($this->loaded->load($latest['id']), $draft, $items);

        return new PaperView(
            $id,
            $draft->toArray(),
            $paper->version(),
            array_map(static fn (ItemTemplate $i): array => $i->toArray(), $items),
            ProofView::of(PaperProof::of($draft, $items), $draft->mastery?->sentence() ?? '', $this->followUpDefects($draft)),
            $latest['id'] ?? null,
            $latest['number'] ?? null,
            $latest !== null && ($latest['of_version'] < $paper->version() || $changed !== []),
            $changed,
            Moment::iso($paper->updatedAt()),
        );
    }

    public function create(StaffUser $who, PaperInput $input): PaperView
    {
        $draft = $this->read($who->teamId, $input->paper, null);
        $id = $this->transaction->run(function () use ($who, $draft): string {
            $paper = new Paper($who->teamId, $draft, $who->id, $this->clock->now());
            $this->papers->add($paper);

            return $paper->id();
        });

        return $this->show($who->teamId, $id);
    }

    public function save(StaffUser $who, string $id, PaperInput $input): PaperView
    {
        $draft = $this->read($who->teamId, $input->paper, $id);
        $this->transaction->run(fn () => $this->locked($who->teamId, $id, $input->version)->save($draft, $who->id, $this->clock->now()));

        return $this->show($who->teamId, $id);
    }

    /** Publishing what is published already gives the edition that is there. */
    public function publish(StaffUser $who, string $id, PublishInput $input): PaperView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $paper = $this->locked($who->teamId, $id, $input->version);
            $items = $this->itemsOf($who->teamId, $paper->content());
            $content = $this->kinds->in($paper->content(), $items);
            $proof = PaperProof::of($content, $items);
            if (!$proof->mayPublish()) {
                $first = array_values(array_filter($proof->defects, static fn ($d): bool => $d->blocks))[0]->message ?? '';
                throw new Problem(422, 'This paper cannot be published yet.', $first, extra: [
                    'proof' => ProofView::of($proof, $content->mastery?->sentence() ?? ''),
                ]);
            }
            $latest = $this->published->latest($id);
            if ($latest !== null && $latest['of_version'] === $paper->version() && $this->bankChanges->entries($latest['id']) === []) {
                return;
            }
            $edition = new Edition($paper, ($latest['number'] ?? 0) + 1, $content, $items, $who->id, $this->clock->now());
            $this->editions->add($edition);
            $this->transaction->write();
            $this->bankChanges->stamp($edition->id());
        });

        return $this->show($who->teamId, $id);
    }

    public function archive(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->archive($who->id, $this->clock->now()));
    }

    public function restore(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->restore($who->id));
    }

    /** The draft as if it were published, for previews and print. Questions that are missing are left out. */
    public function draft(string $teamId, string $id): PublishedPaper
    {
        $draft = ($this->papers->find($teamId, $id) ?? throw Problem::notFound('The paper'))->content();
        $items = $this->itemsOf($teamId, $draft);
        $draft = $this->kinds->in($draft, $items);
        $there = static fn (Entry $e): bool => !$e->isQuestion() || isset($items[$e->item ?? '']);
        $sections = array_map(
            static fn (Section $s): Section => $s->withEntries(array_values(array_filter($s->entries, $there))),
            $draft->sections,
        );
        $paper = $draft->withSections($sections);
        $documents = $ids = [];
        foreach ($paper->questions() as $entry) {
            $documents[$entry->id] = $this->richQuestion->cleaned($items[$entry->item ?? '']->withPoints($entry->points)->toArray());
            $ids[$entry->id] = $entry->item ?? '';
        }

        return new PublishedPaper($id, $id, 0, $paper->toArray(), $documents, $ids);
    }

    private function locked(string $teamId, string $id, ?int $version = null): Paper
    {
        $paper = $this->papers->findLocked($teamId, $id) ?? throw Problem::notFound('The paper');
        if ($version !== null && $paper->version() !== $version) {
            throw Problem::conflict(
                'Somebody saved this paper before you.',
                sprintf(
                    '%s saved it while you were working. Open the newer one; what you changed here has not been saved.',
                    $this->list->staffName($paper->updatedBy()),
                ),
                ['version' => $paper->version()],
            );
        }

        return $paper;
    }

    /**
     * The draft's questions that have changed in the bank since the latest edition took them, and in what.
     *
     * @param array<string, ItemTemplate> $items by bank id
     *
     * @return list<ChangedQuestionView>
     */
    private function changed(PublishedPaper $edition, Draft $draft, array $items): array
    {
        $changed = $this->bankChanges->entries($edition->id);
        $views = [];
        foreach ($draft->questions() as $i => $entry) {
            $then = $edition->template($entry->id);
            $now = $items[$entry->item ?? ''] ?? null;
            if ($then === null
                || $now === null
                || $edition->itemIds[$entry->id] !== $entry->item
                || !in_array($entry->id, $changed, true)) {
                continue;
            }
            $views[] = new ChangedQuestionView(
                $entry->id,
                $i + 1,
                $edition->title($entry->id),
                ChangedParts::between($then, $now->withPoints($entry->points)),
            );
        }

        return $views;
    }

    /** @return array<string, ItemTemplate> by bank id */
    private function itemsOf(string $teamId, Draft $paper): array
    {
        $ids = array_values(array_unique(array_map(static fn (Entry $e): string => $e->item ?? '', $paper->questions())));

        return $this->bank->items($teamId, $ids);
    }

    /**
     * @param array<array-key, mixed> $json
     * @param string|null             $id   of the paper, where it is one already
     */
    private function read(string $teamId, array $json, ?string $id): Draft
    {
        $paper = PaperReader::read($json);
        $sections = [];
        foreach ($paper->sections as $section) {
            $entries = array_map(
                fn (Entry $e): Entry => $e->source === null
                    ? $e
                    : $e->withSource($e->source->withHtml($this->richText->clean($e->source->html))),
                $section->entries,
            );
            $sections[] = $section->withEntries($entries)->withInstructions($this->richText->clean($section->instructions));
        }
        // Of what kind questions are is for the server to say, when it is published.
        $cleaned = $paper->withSections($sections)->knowingKinds(null);
        if (!$this->files->hasAll($teamId, array_values(array_unique([...$cleaned->files(), ...$cleaned->undersides()])))) {
            throw Problem::invalid(['file' => 'A file of this paper is not one of the team’s.']);
        }

        foreach ($cleaned->followUps as $i => $followUp) {
            if ($followUp->paper === $id) {
                throw Problem::invalid(["followUps.$i.paper" => 'A paper cannot follow itself.']);
            }
            if (!Uuid::isValid($followUp->paper) || $this->papers->find($teamId, $followUp->paper) === null) {
                throw Problem::invalid(["followUps.$i.paper" => 'Choose a paper of the team’s.']);
            }
        }

        return $cleaned;
    }

    /** @return list<Defect> papers that are to follow and cannot be handed out yet */
    private function followUpDefects(Draft $draft): array
    {
        $papers = array_values(array_unique(array_map(static fn (FollowUp $f): string => $f->paper, $draft->followUps)));

        return array_values(array_map(
            static fn (string $title): Defect => Defect::advice(
                sprintf('“%s” is to follow and has no edition yet, so nobody is handed it.', $title === '' ? 'Untitled paper' : $title),
            ),
            $this->list->unpublished($papers),
        ));
    }
}
