<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** What the wall of a lesson shows, and what was picked at its questions before the class talked. */
#[ORM\Entity]
#[ORM\Table(name: 'wall')]
class Wall implements Root, TeamOwned
{
    use Happenings;

    /** The question that is shown; null for none. */
    #[ORM\Column(type: 'text', nullable: true)]
    protected ?string $entry = null;

    #[ORM\Column(name: 'key_shown', type: 'boolean')]
    protected bool $keyShown = false;

    /** @var array<array-key, mixed> of each question that was counted: what each student had picked then, by entry and student */
    #[ORM\Column(type: 'detail')]
    protected array $counts = [];

    /** @var array<array-key, mixed> of each question that hands were raised for: how many, by option, as `first` and after the talk as `now` */
    #[ORM\Column(type: 'detail')]
    protected array $hands = [];

    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
    ) {
    }

    public function id(): string
    {
        return $this->handoutId;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function entry(): ?string
    {
        return $this->entry;
    }

    public function isKeyShown(): bool
    {
        return $this->keyShown;
    }

    /** Another question comes without its key, whatever is asked: showing that is an act of its own. */
    public function show(?string $entry, bool $key): void
    {
        $this->keyShown = $key && $entry !== null && $entry === $this->entry;
        $this->entry = $entry;
    }

    /** @param array<string, list<string>> $picks ids, by student */
    public function count(string $entry, array $picks): void
    {
        $this->counts = [$entry => $picks === [] ? (object) [] : $picks] + $this->counts;
    }

    public function forget(string $entry): void
    {
        $this->counts = array_diff_key($this->counts, [$entry => true]);
    }

    /**
     * Raised hands, as they were counted.
     *
     * @param array<array-key, int>      $first by option
     * @param array<array-key, int>|null $now   after the talk; null before it
     */
    public function raise(string $entry, array $first, ?array $now): void
    {
        $this->hands = [$entry => ['first' => $first, 'now' => $now]] + $this->hands;
    }

    public function lower(string $entry): void
    {
        $this->hands = array_diff_key($this->hands, [$entry => true]);
    }

    /** @return array{array<array-key, int>, array<array-key, int>|null}|null before and after the talk, by option; null where none were counted */
    public function hands(string $entry): ?array
    {
        $hands = $this->hands[$entry] ?? null;
        if (!is_array($hands)) {
            return null;
        }
        $count = static fn (mixed $of): array => is_array($of) ? array_filter($of, is_int(...)) : [];

        return [$count($hands['first'] ?? null), isset($hands['now']) ? $count($hands['now']) : null];
    }

    /** @return array<string, list<string>>|null what each had picked at the first count; null where there was none */
    public function firstCount(string $entry): ?array
    {
        if (!isset($this->counts[$entry])) {
            return null;
        }
        $count = [];
        foreach ((array) $this->counts[$entry] as $student => $picks) {
            $count[(string) $student] = is_array($picks) ? array_values(array_filter($picks, is_string(...))) : [];
        }

        return $count;
    }
}
