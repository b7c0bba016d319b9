<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Entity;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Paper as Draft;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A published state of a paper. Its content never changes; changed keys lie over it, each of which can be lifted again. */
#[ORM\Entity]
#[ORM\Table(name: 'edition')]
class Edition implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'team_id', type: 'guid')]
    protected string $teamId;

    #[ORM\Column(name: 'of_version', type: 'integer')]
    protected int $ofVersion;

    /** @var array<array-key, mixed> the paper, and its questions by entry, worth what the paper says */
    #[ORM\Column(type: 'detail')]
    protected array $content;

    /** Grows with every change of a key, so that what was remembered under an older key is known to be old. */
    #[ORM\Column(name: 'rules_version', type: 'integer')]
    protected int $rulesVersion = 1;

    /** @var Collection<int, EditionItem> */
    #[ORM\OneToMany(targetEntity: EditionItem::class, mappedBy: 'edition', cascade: ['persist'])]
    protected Collection $items;

    /** @var Collection<int, EditionFile> */
    #[ORM\OneToMany(targetEntity: EditionFile::class, mappedBy: 'edition', cascade: ['persist'])]
    protected Collection $files;

    /** @var Collection<int, KeyChange> */
    #[ORM\OneToMany(targetEntity: KeyChange::class, mappedBy: 'edition', cascade: ['persist'])]
    #[ORM\OrderBy(['madeAt' => 'ASC', 'id' => 'ASC'])]
    protected Collection $keyChanges;

    /**
     * @param Draft                       $content the paper, knowing of what kind its questions are
     * @param array<string, ItemTemplate> $items   the questions in full, by bank id
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(name: 'paper_id', nullable: false)]
        protected Paper $paper,
        #[ORM\Column(type: 'integer')]
        protected int $number,
        Draft $content,
        array $items,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
        $this->id = Id::fresh();
        $this->teamId = $paper->teamId();
        $this->ofVersion = $paper->version();
        $this->content = self::freeze($content, $items);
        $this->items = new ArrayCollection();
        $this->files = new ArrayCollection();
        $this->keyChanges = new ArrayCollection();
        foreach ($content->questions() as $entry) {
            $this->items->add(new EditionItem($this, $entry->id, $entry->item ?? ''));
        }
        $shown = [$content->files()];
        foreach ($content->questions() as $entry) {
            $shown[] = isset($items[$entry->item]) ? $items[$entry->item]->sample()->files() : [];
        }
        foreach (array_unique(array_merge(...$shown)) as $file) {
            $this->files->add(new EditionFile($this, $file));
        }
        $this->note(new Acted($this->teamId, $madeBy, 'publish', 'paper', $paper->id(), ['edition' => $number]));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    /**
     * Lays a new rule over a question.
     *
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    public function changeKey(string $entry, array $before, array $after, string $reason, string $by, \DateTimeImmutable $at): KeyChange
    {
        if ($before === $after) {
            throw Problem::conflict('This is the key already.', 'Somebody may have changed it in the meantime. Nothing was altered.');
        }
        $change = new KeyChange($this, $entry, $before, $after, $reason, $by, $at);
        $this->keyChanges->add($change);
        ++$this->rulesVersion;

        return $change;
    }

    /** Lifts the latest change of a question's key. */
    public function takeBack(string $changeId, string $by, \DateTimeImmutable $at): KeyChange
    {
        $change = $this->keyChanges->findFirst(static fn (int $i, KeyChange $k): bool => $k->id() === $changeId)
            ?? throw Problem::notFound('The change');
        if (!$change->isInForce()) {
            throw Problem::conflict('This change has been taken back already.', 'Nothing was altered.');
        }
        if (!$this->mayBeTakenBack($change)) {
            throw Problem::conflict('The key was changed again after this.', 'Take the later change back first.');
        }
        $change->undo($by, $at);
        ++$this->rulesVersion;

        return $change;
    }

    /**
     * A change that is in force and the latest of its question. {@see
     * \ChalkLadder\Server\Paper\ReadModel\KeyChangeList::UNDOABLE} says the same in SQL.
     */
    public function mayBeTakenBack(KeyChange $change): bool
    {
        $inForce = $this->keyChanges->filter(static fn (KeyChange $k): bool => $k->isInForce() && $k->entry() === $change->entry());

        return $inForce->last() === $change;
    }

    /**
     * @param array<string, ItemTemplate> $items by bank id
     *
     * @return array{paper: array<array-key, mixed>, items: array<string, array<array-key, mixed>>}
     */
    public static function freeze(Draft $paper, array $items): array
    {
        $frozen = [];
        foreach ($paper->questions() as $entry) {
            $item = $items[$entry->item ?? ''] ?? throw new \LogicException('A paper is proved before it is published.');
            $frozen[$entry->id] = $item->withPoints($entry->points)->toArray();
        }

        return ['paper' => $paper->toArray(), 'items' => $frozen];
    }
}
