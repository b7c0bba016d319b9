<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Formula\NumberText;

/** In what two states of a paper differ, part by part, in words. Parts are known by their ids. */
final readonly class Differences
{
    /**
     * @param array<string, string>                $titles of questions, by entry, in either state; the newer title where both have one
     * @param \Closure(string): list<string> $parts  in what a question that stands in both says something else, by entry
     */
    private function __construct(private Paper $then, private Paper $now, private array $titles, private \Closure $parts)
    {
    }

    /**
     * @param array<string, string>                $titles of questions, by entry, in either state; the newer title where both have one
     * @param \Closure(string): list<string> $parts  in what a question that stands in both says something else, by entry
     *
     * @return list<Difference> in the order of the newer state; what is gone comes first
     */
    public static function between(Paper $then, Paper $now, array $titles, \Closure $parts): array
    {
        return (new self($then, $now, $titles, $parts))->all();
    }

    /** @return list<Difference> */
    private function all(): array
    {
        $found = [];
        if ($this->then->title !== $this->now->title) {
            $found[] = new Difference(sprintf('It was called “%s”.', $this->then->title));
        }
        foreach ($this->then->sections as $section) {
            if ($this->now->section($section->id) === null) {
                $found[] = new Difference(sprintf('Section “%s” is gone.', $section->title));
            }
            foreach ($section->entries as $entry) {
                if ($this->now->entry($entry->id) === null) {
                    $found[] = new Difference(sprintf('%s is gone from “%s”.', $this->name($entry), $section->title));
                }
            }
        }
        if ($this->othersOrder(array_column($this->then->sections, 'id'), array_column($this->now->sections, 'id'))) {
            $found[] = new Difference('The sections stand in another order.');
        }
        foreach ($this->now->sections as $section) {
            array_push($found, ...$this->ofSection($section));
        }

        return [...$found, ...$this->ofWhole()];
    }

    /** @return list<Difference> */
    private function ofSection(Section $now): array
    {
        $then = $this->then->section($now->id);
        if ($then === null) {
            $found = [new Difference(sprintf('Section “%s” is new.', $now->title), $now->id)];
        } else {
            $says = [];
            if ($then->title !== $now->title) {
                $says[] = sprintf('Section “%s” was called “%s”.', $now->title, $then->title);
            }
            if ($then->instructions !== $now->instructions) {
                $says[] = sprintf('“%s” tells students something else before its questions.', $now->title);
            }
            if (self::drawn($then) !== self::drawn($now)) {
                $says[] = sprintf('“%s”: each student gets %s; it was %s.', $now->title, self::drawn($now), self::drawn($then));
            }
            if ($then->route?->toArray() !== $now->route?->toArray()) {
                $says[] = sprintf('The ways on after “%s” are others.', $now->title);
            }
            if ($this->othersOrder(array_column($then->entries, 'id'), array_column($now->entries, 'id'))) {
                $says[] = sprintf('“%s” stands in another order.', $now->title);
            }
            $found = array_map(static fn (string $one): Difference => new Difference($one, $now->id), $says);
        }
        foreach ($now->entries as $entry) {
            array_push($found, ...$this->ofEntry($entry, $now));
        }

        return $found;
    }

    /** @return list<Difference> */
    private function ofEntry(Entry $now, Section $section): array
    {
        $then = $this->then->entry($now->id);
        $name = $this->name($now);
        if ($then === null) {
            return [new Difference(sprintf('%s is new in “%s”.', $name, $section->title), $now->id)];
        }
        $says = [];
        $from = $this->then->sectionOf($now->id);
        if ($from !== null && $from->id !== $section->id) {
            $says[] = sprintf('%s came from “%s” to “%s”.', $name, $from->title, $section->title);
        }
        if ($now->isQuestion()) {
            if (!$then->points->isEqualTo($now->points)) {
                $says[] = sprintf('%s is worth %s; it was %s.', $name, NumberText::write($now->points), NumberText::write($then->points));
            }
            if ($then->item !== $now->item) {
                $says[] = sprintf('%s stands in the place of another question.', $name);
            } else {
                $parts = ($this->parts)($now->id);
                $says = $parts === [] ? $says : [...$says, sprintf('%s: another %s.', $name, implode(', ', $parts))];
            }
            if ($then->pinned !== $now->pinned) {
                $says[] = sprintf('%s is %s.', $name, $now->pinned ? 'pinned' : 'not pinned any more');
            }
            if ($then->looksAt?->toArray() !== $now->looksAt?->toArray()) {
                $says[] = sprintf('%s looks somewhere else.', $name);
            }
        } elseif ($then->source?->toArray() !== $now->source?->toArray()) {
            $says[] = sprintf('%s says or shows something else.', $name);
        }

        return array_map(static fn (string $one): Difference => new Difference($one, $now->id), $says);
    }

    /** @return list<Difference> */
    private function ofWhole(): array
    {
        $found = [];
        $rule = static fn (Paper $p): string => $p->mastery?->sentence() ?? 'none';
        if ($rule($this->then) !== $rule($this->now)) {
            $found[] = new Difference(sprintf('The mastery rule is: %s It was: %s', $rule($this->now), $rule($this->then)));
        }
        $next = static fn (Paper $p): array => array_map(static fn (FollowUp $f): array => $f->toArray(), $p->followUps);
        if ($next($this->then) !== $next($this->now)) {
            $found[] = new Difference('What follows it is something else.');
        }

        return $found;
    }

    private function name(Entry $entry): string
    {
        return $entry->source === null
            ? sprintf('“%s”', $this->titles[$entry->id] ?? 'a question')
            : sprintf('Source “%s”', $entry->source->title);
    }

    private static function drawn(Section $section): string
    {
        return $section->drawing === null
            ? 'all its questions'
            : sprintf('%d, spread over %s', $section->drawing->count, match ($section->drawing->by) {
                Drawing::BY_SKILL => 'their skills',
                Drawing::BY_DIFFICULTY => 'how many had them right',
                default => 'nothing',
            });
    }

    /**
     * Whether what stands in both stands in another order; what came or went says so itself.
     *
     * @param list<string> $then
     * @param list<string> $now
     */
    private function othersOrder(array $then, array $now): bool
    {
        return array_values(array_intersect($then, $now)) !== array_values(array_intersect($now, $then));
    }
}
