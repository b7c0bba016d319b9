<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Item\TextFiles;

/** An ordered, sectioned set of questions and sources. */
final readonly class Paper
{
    /**
     * @param list<Section>  $sections
     * @param list<Planned>  $plan      how many marks it is to hold on which skills, for its writers
     * @param list<FollowUp> $followUps what comes after it, tried for each student one by one
     */
    public function __construct(
        public string $title,
        public array $sections,
        public ?MasteryRule $mastery = null,
        public array $plan = [],
        public array $followUps = [],
    ) {
    }

    /** @param list<Section> $sections */
    public function withSections(array $sections): self
    {
        return new self($this->title, $sections, $this->mastery, $this->plan, $this->followUps);
    }

    /**
     * What the bearer of a seed gets, in that one's order: a version of its own for paper. What conditions count by stays with the written
     * order.
     */
    public function version(string $seed, bool $mixed = true): self
    {
        $got = fn (Section $s): array => array_values(array_filter(array_map($this->entry(...), $s->order($seed, $mixed))));

        return $this->withSections(array_map(
            static fn (Section $s): Section => $s->withEntries($got($s))->withDrawing(null),
            $this->sections,
        ));
    }

    /**
     * The same, knowing of what kind the questions are among which it is drawn.
     *
     * @param (\Closure(Entry, Drawing): string)|null $kind null: none is known
     */
    public function knowingKinds(?\Closure $kind): self
    {
        return $this->withSections(array_map(static function (Section $s) use ($kind): Section {
            $drawing = $s->drawing;
            if ($drawing === null) {
                return $s;
            }
            if ($kind === null || $drawing->by === Drawing::BY_CHANCE) {
                return $s->withDrawing($drawing->knowing([]));
            }
            $kinds = [];
            foreach ($s->drawable() as $entry) {
                $kinds[$entry->id] = $kind($entry, $drawing);
            }

            return $s->withDrawing($drawing->knowing($kinds));
        }, $this->sections));
    }

    public function section(string $id): ?Section
    {
        foreach ($this->sections as $section) {
            if ($section->id === $id) {
                return $section;
            }
        }

        return null;
    }

    /** The section that an entry stands in. */
    public function sectionOf(string $entryId): ?Section
    {
        foreach ($this->sections as $section) {
            foreach ($section->entries as $entry) {
                if ($entry->id === $entryId) {
                    return $section;
                }
            }
        }

        return null;
    }

    /** The section that follows in the written order, or the end. */
    public function following(string $sectionId): string
    {
        foreach ($this->sections as $i => $section) {
            if ($section->id === $sectionId) {
                return ($this->sections[$i + 1] ?? null)->id ?? Route::END;
            }
        }

        return Route::END;
    }

    /** @return list<string> where a student may go after the section, each once */
    public function exits(Section $section): array
    {
        if ($section->route === null) {
            return [$this->following($section->id)];
        }

        return array_values(array_unique($section->route->targets()));
    }

    /** @return list<Entry> all questions in written order */
    public function questions(): array
    {
        return array_merge(...array_map(static fn (Section $s): array => $s->questions(), $this->sections));
    }

    /** @return list<string> ids of the files that its sources show, each once */
    public function files(): array
    {
        $files = [];
        foreach ($this->sections as $section) {
            foreach ($section->entries as $entry) {
                array_push($files, $entry->source?->picture, $entry->source?->file, ...TextFiles::in($entry->source->html ?? ''));
            }
        }

        return array_values(array_unique(array_filter($files, is_string(...))));
    }

    /** @return list<string> ids of the pictures that boards were drawn on: kept with them, and shown to nobody who reads the paper */
    public function undersides(): array
    {
        $files = [];
        foreach ($this->sections as $section) {
            foreach ($section->entries as $entry) {
                $files[] = $entry->source?->board?->picture?->file;
            }
        }

        return array_values(array_unique(array_filter($files, is_string(...))));
    }

    public function entry(string $id): ?Entry
    {
        foreach ($this->sections as $section) {
            foreach ($section->entries as $entry) {
                if ($entry->id === $id) {
                    return $entry;
                }
            }
        }

        return null;
    }

    public function branches(): bool
    {
        foreach ($this->sections as $section) {
            if (count($this->exits($section)) > 1) {
                return true;
            }
        }

        return false;
    }

    /**
     * The same, with a question, skill or misconception called by another one wherever it is named; what was planned for the two is
     * added up.
     */
    public function calling(string $one, string $other): self
    {
        $document = $this->toArray();
        array_walk_recursive($document, static function (mixed &$value) use ($one, $other): void {
            $value = $value === $one ? $other : $value;
        });
        $plan = [];
        foreach ($this->plan as $planned) {
            $skill = $planned->skill === $one ? $other : $planned->skill;
            $plan[$skill] = new Planned($skill, $planned->marks->plus($plan[$skill]->marks ?? 0));
        }
        unset($document['plan']);
        $read = PaperReader::read($document);

        return new self($read->title, $read->sections, $read->mastery, array_values($plan), $read->followUps);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'version' => PaperReader::VERSION,
            'title' => $this->title,
            'sections' => array_map(static fn (Section $s): array => $s->toArray(), $this->sections),
            'mastery' => $this->mastery?->toArray(),
        ] + ($this->plan === [] ? [] : ['plan' => array_map(static fn (Planned $p): array => $p->toArray(), $this->plan)])
            + ($this->followUps === [] ? [] : ['followUps' => array_map(static fn (FollowUp $f): array => $f->toArray(), $this->followUps)]);
    }
}
