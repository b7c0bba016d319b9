<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Draw;

/** A part of a paper; the unit of branching. Without a route the next section in order follows. */
final readonly class Section
{
    /** of its instructions */
    public const LONGEST = 5000;

    /**
     * @param list<Entry> $entries
     * @param string      $instructions what students are told before its questions; sanitised HTML, or ''
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $entries,
        public ?Route $route = null,
        public ?Drawing $drawing = null,
        public string $instructions = '',
    ) {
    }

    /** @param list<Entry> $entries */
    public function withEntries(array $entries): self
    {
        return new self($this->id, $this->title, $entries, $this->route, $this->drawing, $this->instructions);
    }

    public function withDrawing(?Drawing $drawing): self
    {
        return new self($this->id, $this->title, $this->entries, $this->route, $drawing, $this->instructions);
    }

    /** The same with what students are told before its questions in other words. */
    public function withInstructions(string $instructions): self
    {
        return new self($this->id, $this->title, $this->entries, $this->route, $this->drawing, $instructions);
    }

    /**
     * The entries that the bearer of a seed gets, in the order in which they are shown. Sources and pinned questions keep their places;
     * where they are mixed, the other questions move, each between the sources that stand around it.
     *
     * @return list<string> their ids
     */
    public function order(string $seed, bool $mixed): array
    {
        $drawn = $this->drawn($seed);
        $ids = $run = [];
        foreach ([...$this->entries, null] as $i => $entry) {
            if ($entry instanceof Entry && $entry->isQuestion()) {
                if (in_array($entry->id, $drawn, true)) {
                    $run[] = $entry;
                }

                continue;
            }
            array_push($ids, ...($mixed ? self::mixed($run, $seed, $this->id.'.'.$i) : array_column($run, 'id')));
            $run = [];
            if ($entry !== null) {
                $ids[] = $entry->id;
            }
        }

        return $ids;
    }

    /** @return list<string> ids of the questions that the bearer of a seed gets, in written order */
    private function drawn(string $seed): array
    {
        $drawn = $this->drawing?->of(array_column($this->drawable(), 'id'), $seed, $this->id);

        return array_column(array_filter(
            $this->questions(),
            static fn (Entry $e): bool => $drawn === null || $e->pinned || in_array($e->id, $drawn, true),
        ), 'id');
    }

    /**
     * @param list<Entry> $questions
     *
     * @return list<string>
     */
    private static function mixed(array $questions, string $seed, string $place): array
    {
        $free = Draw::order(
            array_column(array_filter($questions, static fn (Entry $e): bool => !$e->pinned), 'id'),
            $seed,
            $place,
        );

        return array_map(static function (Entry $e) use (&$free): string {
            return $e->pinned ? $e->id : (string) array_shift($free);
        }, $questions);
    }

    /**
     * What a student has of the section, with what they have not: as much as the draw gives, in their order.
     *
     * @param list<string> $held entry ids, of this section
     *
     * @return list<string>
     */
    public function filledUp(array $held, string $seed, bool $mixed): array
    {
        $drawable = array_column($this->drawable(), 'id');
        $room = max(0, ($this->drawing->count ?? 0) - count(array_intersect($drawable, $held)));
        $all = $held;
        $before = null;
        foreach ($this->order($seed, $mixed) as $id) {
            $isDrawn = in_array($id, $drawable, true);
            if (!in_array($id, $all, true) && (!$isDrawn || $room > 0)) {
                $room -= $isDrawn ? 1 : 0;
                $at = $before === null ? 0 : (int) array_search($before, $all, true) + 1;
                array_splice($all, $at, 0, [$id]);
            }
            $before = in_array($id, $all, true) ? $id : $before;
        }

        return $mixed ? $all : array_values(array_intersect(array_column($this->entries, 'id'), $all));
    }

    /** @return list<Entry> the questions among which it is drawn; none where every student gets all */
    public function drawable(): array
    {
        return $this->drawing === null
            ? []
            : array_values(array_filter($this->questions(), static fn (Entry $e): bool => !$e->pinned));
    }

    /** How likely a student gets a question of the section. */
    public function chance(Entry $question): BigRational
    {
        $among = $this->drawable();

        return in_array($question, $among, true)
            ? BigRational::nd(min(count($among), $this->drawing->count ?? 0), count($among))
            : BigRational::one();
    }

    /** How many questions one student gets. */
    public function length(): int
    {
        $among = count($this->drawable());

        return count($this->questions()) - $among + min($among, $this->drawing->count ?? 0);
    }

    /** @return array{BigRational, BigRational} the least and the most points that one student is offered */
    public function points(): array
    {
        $drawable = $this->drawable();
        $always = array_filter($this->questions(), static fn (Entry $e): bool => !in_array($e, $drawable, true));
        $worth = array_map(static fn (Entry $e): BigRational => $e->points, $drawable);
        usort($worth, static fn (BigRational $a, BigRational $b): int => $a->compareTo($b));
        $k = min(count($worth), $this->drawing->count ?? 0);
        $sure = array_map(static fn (Entry $e): BigRational => $e->points, array_values($always));

        return array_map(
            static fn (array $some): BigRational => BigRational::sum(BigRational::zero(), ...$sure, ...$some)->simplified(),
            [array_slice($worth, 0, $k), $k === 0 ? [] : array_slice($worth, -$k)],
        );
    }

    /** @return list<Entry> */
    public function questions(): array
    {
        return array_values(array_filter($this->entries, static fn (Entry $e): bool => $e->isQuestion()));
    }

    /**
     * The sources that a question is read with: those that stand together nearest before it. They stay beside every question until
     * others come.
     *
     * @return list<Entry>
     */
    public function beside(string $questionId): array
    {
        $beside = [];
        $fresh = false;
        foreach ($this->entries as $entry) {
            if ($entry->id === $questionId) {
                return $beside;
            }
            if ($entry->isQuestion()) {
                $fresh = true;

                continue;
            }
            $beside = $fresh ? [$entry] : [...$beside, $entry];
            $fresh = false;
        }

        return [];
    }

    /** Where a question looks in what stands beside it; null where it looks nowhere, or where what it looked at is there no more. */
    public function looksAt(string $questionId): ?Anchor
    {
        $anchor = $this->anchor($questionId);

        return $anchor !== null && $this->anchorFault($questionId) === null ? $anchor : null;
    }

    /** What keeps a question from looking where it should, in words; null where nothing does. */
    public function anchorFault(string $questionId): ?string
    {
        $anchor = $this->anchor($questionId);
        if ($anchor === null) {
            return null;
        }
        foreach ($this->beside($questionId) as $entry) {
            if ($entry->id === $anchor->source && $entry->source !== null) {
                return $anchor->fault($entry->source);
            }
        }

        return 'This question looks at a source that does not stand beside it any more.';
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'entries' => array_map(static fn (Entry $e): array => $e->toArray(), $this->entries),
            'route' => $this->route?->toArray(),
        ] + ($this->drawing === null ? [] : ['drawing' => $this->drawing->toArray()])
            + ($this->instructions === '' ? [] : ['instructions' => $this->instructions]);
    }

    private function anchor(string $questionId): ?Anchor
    {
        foreach ($this->entries as $entry) {
            if ($entry->id === $questionId) {
                return $entry->looksAt;
            }
        }

        return null;
    }
}
