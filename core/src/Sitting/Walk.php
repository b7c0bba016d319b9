<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\Route;
use ChalkLadder\Core\Paper\RouteExit;
use ChalkLadder\Core\Paper\Section;

/**
 * A student's way through a paper: the passes made so far, the last of them open.
 *
 * The way is a fact once walked: it is stored, and a later change of a key or a mark does not alter it.
 */
final readonly class Walk
{
    /** @param list<Visit> $visits */
    private function __construct(public array $visits, public bool $ended)
    {
    }

    public static function start(Paper $paper, Conditions $conditions, string $seed): self
    {
        $first = $paper->sections[0] ?? null;

        return $first === null ? new self([], true) : (new self([], false))->entering($first, $conditions, $seed);
    }

    /** The pass that is open now; null at the end. */
    public function current(): ?Visit
    {
        return $this->ended || $this->visits === [] ? null : $this->visits[count($this->visits) - 1];
    }

    /**
     * Leaves the open pass: questions come back if the mastery rule says so, else the route of the section that was entered last decides.
     *
     * @param array<string, array<int, Outcome>> $outcomes machine outcomes by entry id and try
     */
    public function leave(Paper $paper, Conditions $conditions, string $seed, array $outcomes, MachineMarked $marked): self
    {
        $section = $this->base($paper);
        if ($this->current() === null || $section === null) {
            return new self($this->visits, true);
        }
        $comebacks = new Comebacks($paper, $this->visits, $outcomes, $marked);
        $back = $comebacks->next(false);
        if ($back !== null) {
            return new self([...$this->visits, $back], false);
        }
        if ($section->route === null) {
            $target = $paper->following($section->id);
        } else {
            $asked = $this->asked($section);
            $best = static fn (Entry $e): BigRational => self::bestCredit($paper, self::creditsOf($outcomes[$e->id] ?? []));
            $names = Route::names(
                self::share($asked, array_map($best, $asked), $marked),
                array_map($best, $section->questions()),
            );
            $target = $section->route->to($section->route->choice($names, $this->usedUp($section)));
        }
        $next = $target === Route::END ? null : $paper->section($target);
        if ($next !== null) {
            return $this->entering($next, $conditions, $seed);
        }
        $back = $comebacks->next(true);

        return $back === null ? new self($this->visits, true) : new self([...$this->visits, $back], false);
    }

    /** The section that was entered last; passes of what comes back later lie behind it. */
    public function base(Paper $paper): ?Section
    {
        $entered = $this->entered();

        return $entered === [] ? null : $paper->section($entered[count($entered) - 1]->section);
    }

    /** @return list<Entry> the questions of a section that this student got, in written order */
    public function asked(Section $section): array
    {
        $got = array_merge(...array_map(
            static fn (Visit $v): array => $v->section === $section->id ? $v->entries : [],
            $this->visits,
        ));

        return array_values(array_filter($section->questions(), static fn (Entry $e): bool => in_array($e->id, $got, true)));
    }

    /** @return list<int> the exits of the section that have been taken as often as they may */
    public function usedUp(Section $section): array
    {
        $gone = [];
        $entered = $this->entered();
        foreach ($entered as $i => $visit) {
            $next = $entered[$i + 1] ?? null;
            if ($visit->section === $section->id && $next !== null) {
                $gone[$next->section] = ($gone[$next->section] ?? 0) + 1;
            }
        }

        // Two exits to the same place are not told apart by where a student went: the rounds of either are spent by both.
        return array_keys(array_filter(
            $section->route->exits ?? [],
            static fn (RouteExit $e): bool => $e->rounds !== null && ($gone[$e->to] ?? 0) >= $e->rounds,
        ));
    }

    /** @return list<Visit> the passes by which a section was entered, without those of what came back */
    private function entered(): array
    {
        $entered = [];
        foreach ($this->visits as $visit) {
            $entered["$visit->section|$visit->round"] ??= $visit;
        }

        return array_values($entered);
    }

    /** Whether two passes are of the same time that a section was entered: the later one holds what came back. */
    private static function isReturn(Visit $visit, Visit $next): bool
    {
        return $next->section === $visit->section && $next->round === $visit->round;
    }

    /** The passes of this visit's round so far, itself the last. */
    private function passes(Visit $visit): int
    {
        return count(array_filter($this->visits, static fn (Visit $v): bool => self::isReturn($visit, $v)));
    }

    /** Whether a question of this pass can come back, if it is answered so. */
    private function mayReturn(Paper $paper, Visit $visit, MachineMarked $marked): bool
    {
        return $this->passes($visit) <= ($paper->mastery->returns ?? 0) && array_filter($visit->entries, $marked->has(...)) !== [];
    }

    /** Whether the open pass is one of missed questions alone. */
    public function returns(): bool
    {
        $open = $this->current();

        return $open !== null && $this->passes($open) > 1;
    }

    /**
     * The way after what led to the open pass has come out otherwise, such as by a mended key. Whoever has answered
     * something in the open pass has gone on, and keeps what was answered: a pass of missed questions then only loses
     * what is not missed any more.
     *
     * @param array<string, array<int, Outcome>> $outcomes as in {@see leave()}, by the present rules
     * @param list<string>                       $answered entries that have a response in the open pass
     */
    public function mended(
        Paper $paper,
        Conditions $conditions,
        string $seed,
        array $outcomes,
        MachineMarked $marked,
        array $answered,
    ): self {
        $open = $this->current();
        if ($open === null || count($this->visits) < 2) {
            return $this;
        }
        $earlier = array_slice($this->visits, 0, -1);
        $anew = (new self($earlier, false))->leave($paper, $conditions, $seed, $outcomes, $marked);
        if ($answered === []) {
            return $anew;
        }
        $next = $anew->current();
        $missed = $next !== null && $next->section === $open->section && $next->try === $open->try ? $next->entries : [];
        $kept = array_values(array_filter(
            $open->entries,
            static fn (string $id): bool => in_array($id, $missed, true) || in_array($id, $answered, true),
        ));

        return $this->returns() ? new self([...$earlier, new Visit($open->section, $open->try, $kept, $open->round)], false) : $this;
    }

    /**
     * The way of somebody at work in another state of the paper. What was left stays walked, with what is gone from the paper, so that
     * it is there again should the paper be. The open pass loses what is gone from its section and gets what is new in it, and keeps what
     * a draw gave this student; where nothing is left of it the way leads to the section that followed it.
     */
    public function onto(Paper $then, Paper $now, Conditions $conditions, string $seed): self
    {
        $open = $this->current();
        if ($open === null) {
            return $this;
        }
        $left = array_slice($this->visits, 0, -1);
        $section = $now->section($open->section);
        $held = $section === null ? [] : array_values(array_intersect($open->entries, array_column($section->entries, 'id')));
        if ($section !== null && !$this->returns()) {
            $held = $section->filledUp($held, $seed, $conditions->shuffleQuestions);
        }
        if ($held !== []) {
            return new self([...$left, new Visit($open->section, $open->try, $held, $open->round)], false);
        }
        $order = array_column($then->sections, 'id');
        foreach (array_slice($order, (int) array_search($open->section, $order, true) + 1) as $id) {
            $next = $now->section($id);
            if ($next !== null) {
                return (new self($left, false))->entering($next, $conditions, $seed);
            }
        }

        return new self($left, true);
    }

    /**
     * True when leaving the open pass can lead on, whatever the answers: then hand-in is not the next act.
     */
    public function mayGoOn(Paper $paper, MachineMarked $marked): bool
    {
        $visit = $this->current();
        $section = $this->base($paper);
        if ($visit === null || $section === null) {
            return false;
        }
        // With a gap what was missed longer ago may still have to come.
        $open = ($paper->mastery->gap ?? 0) === 0 ? [$visit] : $this->visits;

        return array_filter($open, fn (Visit $v): bool => $this->mayReturn($paper, $v, $marked)) !== []
            || $paper->exits($section) !== [Route::END];
    }

    /** @return list<array{entry: string, try: int}> every step shown so far, in order, sources left out */
    public function steps(Paper $paper): array
    {
        $steps = [];
        foreach ($this->visits as $visit) {
            foreach ($visit->entries as $id) {
                if ($paper->entry($id)?->isQuestion() === true) {
                    $steps[] = ['entry' => $id, 'try' => $visit->try];
                }
            }
        }

        return $steps;
    }

    /**
     * Numbers follow the student's own order, so that a shuffled or branching paper still counts 1, 2, 3.
     *
     * @return array<string, int> by entry
     */
    public function numbers(Paper $paper): array
    {
        $order = array_values(array_unique(array_column($this->steps($paper), 'entry')));

        return array_map(static fn (int $at): int => $at + 1, array_flip($order));
    }

    /** Is this step in the pass that is open? Only there may an answer change. */
    public function isOpen(string $entry, int $try): bool
    {
        $visit = $this->current();

        return $visit !== null && $visit->try === $try && in_array($entry, $visit->entries, true);
    }

    /**
     * The best credit over a question's tries, each weighed by what its try earns.
     *
     * @param array<int, BigRational> $credits credit by try
     */
    public static function bestCredit(Paper $paper, array $credits): BigRational
    {
        $best = null;
        foreach ($credits as $try => $credit) {
            if ($credit->isZero()) {
                continue;
            }
            $share = $paper->mastery?->shareOfTry($try);
            $earned = $share === null || $share->isEqualTo(1) ? $credit : $credit->multipliedBy($share);
            if ($best === null || $earned->isGreaterThan($best)) {
                $best = $earned;
            }
        }

        return $best?->simplified() ?? BigRational::zero();
    }

    /**
     * {@see bestCredit()} for statistics, where thousands are needed and the last bit is not.
     *
     * @param array<int, float|null> $credits by try; null waits for a marker
     *
     * @return float|null null while none is marked
     */
    public static function bestCreditAsFloat(Paper $paper, array $credits): ?float
    {
        $best = null;
        foreach ($credits as $try => $credit) {
            if ($credit !== null) {
                $best = max($best ?? 0.0, $credit * ($paper->mastery?->shareOfTry($try)->toFloat() ?? 1.0));
            }
        }

        return $best;
    }

    /** @return array{visits: list<array{section: string, try: int, entries: list<string>, round?: int}>, ended: bool} */
    public function toArray(): array
    {
        return ['visits' => array_map(static fn (Visit $v): array => $v->toArray(), $this->visits), 'ended' => $this->ended];
    }

    /** @param array{visits: list<array{section: string, try: int, entries: list<string>, round?: int}>, ended: bool} $stored */
    public static function fromArray(array $stored): self
    {
        return new self(
            array_map(static fn (array $v): Visit => new Visit($v['section'], $v['try'], $v['entries'], $v['round'] ?? 1), $stored['visits']),
            $stored['ended'],
        );
    }

    /**
     * @param array<int, Outcome> $byTry
     *
     * @return array<int, BigRational>
     */
    private static function creditsOf(array $byTry): array
    {
        return array_map(static fn (Outcome $o): BigRational => $o->credit ?? BigRational::zero(), $byTry);
    }

    /**
     * Share of the section's machine-marked points reached, best try each.
     *
     * @param list<Entry>       $questions
     * @param list<BigRational> $best      credit of each
     */
    public static function share(array $questions, array $best, MachineMarked $marked): BigRational
    {
        $reached = $possible = BigRational::zero();
        foreach ($questions as $i => $entry) {
            if ($marked->has($entry->id)) {
                $reached = $best[$i]->isZero() ? $reached : $reached->plus($best[$i]->multipliedBy($entry->points));
                $possible = $possible->plus($entry->points);
            }
        }

        return $possible->isZero() ? BigRational::zero() : $reached->dividedBy($possible)->simplified();
    }

    /**
     * What a student has shown of each skill so far: in the passes that were left, and where `withOpen` by what is answered in the open
     * one.
     *
     * @param array<string, array<int, Outcome>> $outcomes as in {@see leave()}
     *
     * @return array<string, list<BigRational>> credits in order, by skill
     */
    public function evidence(Paper $paper, array $outcomes, MachineMarked $marked, bool $withOpen): array
    {
        $left = $this->visits;
        $open = $this->current();
        if ($open !== null) {
            array_pop($left);
            $answered = array_values(array_filter($open->entries, static fn (string $id): bool => isset($outcomes[$id][$open->try])));
            $left = $withOpen ? [...$left, new Visit($open->section, $open->try, $answered, $open->round)] : $left;
        }

        return (new Comebacks($paper, $left, $outcomes, $marked))->evidence();
    }

    private function entering(Section $section, Conditions $conditions, string $seed): self
    {
        $before = array_filter($this->visits, static fn (Visit $v): bool => $v->section === $section->id);
        $try = 1 + max([0, ...array_map(static fn (Visit $v): int => $v->try, $before)]);
        $round = 1 + max([0, ...array_map(static fn (Visit $v): int => $v->round, $before)]);
        $ids = $section->order($seed, $conditions->shuffleQuestions);

        return new self([...$this->visits, new Visit($section->id, $try, $ids, $round)], false);
    }
}
