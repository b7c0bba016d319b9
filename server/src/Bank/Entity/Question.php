<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use ChalkLadder\Server\Platform\Text\Plain;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** A question of the bank. What it says is one document; the columns beside it are what it is found by. */
#[ORM\Entity]
#[ORM\Table(name: 'item')]
class Question implements Root, TeamOwned
{
    use Happenings;
    use Merged;

    private const KIND = 'item';

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(type: 'text')]
    protected string $type = '';

    #[ORM\Column(type: 'text')]
    protected string $title = '';

    #[ORM\Column(name: 'skill_id', type: 'guid', nullable: true)]
    protected ?string $skillId = null;

    /** @var list<string> ids */
    #[ORM\Column(type: 'uuid_list')]
    protected array $misconceptions = [];

    #[ORM\Column(type: 'text')]
    protected string $search = '';

    #[ORM\Version]
    #[ORM\Column(type: 'integer')]
    protected int $version = 1;

    #[ORM\Column(name: 'updated_by', type: 'guid')]
    protected string $updatedBy;

    #[ORM\Column(name: 'archived_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $archivedAt = null;

    #[ORM\Column(name: 'request_id', type: 'guid', nullable: true)]
    protected ?string $requestId = null;

    #[ORM\Column(name: 'request_place', type: 'smallint', nullable: true)]
    protected ?int $requestPlace = null;

    /** @var Collection<int, QuestionRevision> */
    #[ORM\OneToMany(targetEntity: QuestionRevision::class, mappedBy: 'question', cascade: ['persist'])]
    protected Collection $revisions;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'question')]
        protected ItemTemplate $content,
        #[ORM\Column(name: 'created_by', type: 'guid')]
        protected string $createdBy,
        #[ORM\Column(name: 'updated_at', type: 'moment')]
        protected \DateTimeImmutable $updatedAt,
    ) {
        $this->id = Id::fresh();
        $this->revisions = new ArrayCollection();
        $this->updatedBy = $createdBy;
        $this->describe();
        $this->note(new Acted($teamId, $createdBy, 'add', 'item', $this->id, ['title' => $content->sample()->title]));
    }

    /** One of several that a request keeps at one stroke. */
    public function keptBy(string $requestId, int $place): void
    {
        $this->requestId = $requestId;
        $this->requestPlace = $place;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function content(): ItemTemplate
    {
        return $this->content;
    }

    public function version(): int
    {
        return $this->version;
    }

    public function createdBy(): string
    {
        return $this->createdBy;
    }

    public function updatedBy(): string
    {
        return $this->updatedBy;
    }

    public function updatedAt(): \DateTimeImmutable
    {
        return $this->updatedAt;
    }

    public function isArchived(): bool
    {
        return $this->archivedAt !== null;
    }

    /** Writes it anew; the state before is kept as a revision. */
    public function revise(ItemTemplate $content, string $by, \DateTimeImmutable $at): void
    {
        $this->replace($content, $by, $at);
        $this->note(new Acted($this->teamId, $by, 'change', 'item', $this->id, ['version' => $this->version + 1]));
    }

    /**
     * A key that was changed on a published paper comes home, if the rule here is still the one that was changed. The
     * change of the key is what the trail tells of.
     *
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    public function takeRule(array $before, array $after, string $by, \DateTimeImmutable $at): bool
    {
        if ($this->content->rule() !== $before) {
            return false;
        }
        $this->replace($this->content->withRule($after), $by, $at);

        return true;
    }

    /** Puts it out of the list. What uses it keeps it. */
    public function archive(string $by, \DateTimeImmutable $at): void
    {
        $this->archivedAt ??= $at;
        $this->note(new Acted($this->teamId, $by, 'archive', 'item', $this->id));
    }

    public function restore(string $by): void
    {
        $this->archivedAt = null;
        $this->note(new Acted($this->teamId, $by, 'restore', 'item', $this->id));
    }

    private function replace(ItemTemplate $content, string $by, \DateTimeImmutable $at): void
    {
        $this->revisions->add(new QuestionRevision($this, $this->version, $this->content, $this->updatedBy, $at));
        $this->content = $content;
        $this->updatedBy = $by;
        $this->updatedAt = $at;
        $this->describe();
    }

    private function describe(): void
    {
        $item = $this->content->sample();
        $title = trim($item->title);
        $prompt = Plain::text($item->prompt);
        $this->type = $item->type()->value;
        $this->title = $title === '' ? mb_strimwidth($prompt, 0, 60, '…') : $title;
        $this->skillId = $item->skill;
        $this->misconceptions = $item->misconceptions();
        $this->search = mb_strtolower($title."\n".$prompt."\n".Plain::text(implode(' ', $item->rule->texts())));
    }
}
