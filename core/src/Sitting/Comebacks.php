<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Paper\MasteryRule;
use ChalkLadder\Core\Paper\Paper;

/** What comes back to a student by the paper's mastery rule, and what they have shown of each skill so far. */
final readonly class Comebacks
{
    /**
     * @param list<Visit>                        $visits   the passes so far, all of them left
     * @param array<string, array<int, Outcome>> $outcomes by entry id and try
     */
    public function __construct(private Paper $paper, private array $visits, private array $outcomes, private MachineMarked $marked)
    {
    }

    /**
     * The next pass of questions that come back; null where none is due. Without a gap they come right after the pass in which they
     * were missed, with one as soon as so many other questions lie between.
     *
     * @param bool $atEnd nothing else follows: then no gap can be waited for
     */
    public function next(bool $atEnd): ?Visit
    {
        $rule = $this->paper->mastery;
        $here = $this->visits[count($this->visits) - 1] ?? null;
        if ($rule === null || $here === null) {
            return null;
        }
        foreach ($this->rounds() as $passes) {
            $first = $this->visits[$passes[0]];
            if ($rule->gap === 0 && ($first->section !== $here->section || $first->round !== $here->round)) {
                continue;
            }
            $due = array_values(array_filter($first->entries, fn (string $entry): bool => $this->isDue($rule, $entry, $passes, $atEnd)));
            if ($due !== []) {
                return new Visit($first->section, 1 + $this->latestTry($first->section), $due, $first->round);
            }
        }

        return null;
    }

    /**
     * The credits of the answers on each skill, in the order of the passes; what was left out earned nothing.
     *
     * @return array<string, list<BigRational>> by skill
     */
    public function evidence(): array
    {
        $evidence = [];
        foreach ($this->visits as $visit) {
            foreach ($visit->entries as $entry) {
                $skill = $this->marked->skill($entry);
                if ($skill !== null) {
                    $evidence[$skill][] = $this->outcomes[$entry][$visit->try]->credit ?? BigRational::zero();
                }
            }
        }

        return $evidence;
    }

    /**
     * The passes of each section, those of its latest round.
     *
     * @return array<string, non-empty-list<int>> places among the visits, by section, in the order in which they were first entered
     */
    private function rounds(): array
    {
        $rounds = [];
        foreach ($this->visits as $i => $visit) {
            $passes = $rounds[$visit->section] ?? [];
            if ($passes !== [] && $this->visits[$passes[0]]->round !== $visit->round) {
                unset($rounds[$visit->section]);
                $passes = [];
            }
            $rounds[$visit->section] = [...$passes, $i];
        }

        return $rounds;
    }

    /** @param non-empty-list<int> $passes of its section */
    private function isDue(MasteryRule $rule, string $entry, array $passes, bool $atEnd): bool
    {
        $tries = array_values(array_filter($passes, fn (int $i): bool => in_array($entry, $this->visits[$i]->entries, true)));
        if ($tries === [] || count($tries) > $rule->returns || !$this->marked->has($entry)) {
            return false;
        }
        $last = $tries[count($tries) - 1];

        return $this->isWanted($rule, $entry, $this->visits[$last]->try) && ($atEnd || $this->between($entry, $last) >= $rule->gap);
    }

    private function isWanted(MasteryRule $rule, string $entry, int $try): bool
    {
        $isRight = ($this->outcomes[$entry][$try] ?? null)?->verdict === Verdict::Right;
        $skill = $this->marked->skill($entry);
        if ($rule->shown === null || $skill === null) {
            return !$isRight;
        }
        if ($isRight && !($rule->otherNumbers && $this->marked->isDrawn($entry))) {
            return false;
        }

        return !$rule->shown->isShown($this->evidence()[$skill] ?? []);
    }

    /** How many other questions were shown since the entry was, in this pass and those after it. */
    private function between(string $entry, int $pass): int
    {
        $after = array_slice($this->visits[$pass]->entries, 1 + (int) array_search($entry, $this->visits[$pass]->entries, true));
        foreach (array_slice($this->visits, $pass + 1) as $visit) {
            array_push($after, ...$visit->entries);
        }

        return count(array_filter($after, fn (string $id): bool => $this->paper->entry($id)?->isQuestion() === true));
    }

    private function latestTry(string $section): int
    {
        return max([0, ...array_map(static fn (Visit $v): int => $v->section === $section ? $v->try : 0, $this->visits)]);
    }
}
