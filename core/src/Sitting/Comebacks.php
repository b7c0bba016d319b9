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
        $shown = $this->shown($rule);
        foreach ($this->rounds() as $passes) {
            $first = $this->visits[$passes[0]];
            if ($rule->gap === 0 && ($first->section !== $here->section || $first->round !== $here->round)) {
                continue;
            }
            $tries = [];
            foreach ($passes as $i) {
                foreach ($this->visits[$i]->entries as $entry) {
                    $tries[$entry] = [($tries[$entry][0] ?? 0) + 1, $i];
                }
            }
            $due = array_values(array_filter(
                $first->entries,
                fn (string $entry): bool => $this->isDue($rule, $entry, $tries[$entry], $shown, $atEnd),
            ));
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

    /** @return array<string, bool> by skill that there is an answer to */
    private function shown(MasteryRule $rule): array
    {
        return $rule->shown === null ? [] : array_map($rule->shown->isShown(...), $this->evidence());
    }

    /**
     * @param array{int, int}     $tries how many there were, and the pass of the last
     * @param array<string, bool> $shown by skill
     */
    private function isDue(MasteryRule $rule, string $entry, array $tries, array $shown, bool $atEnd): bool
    {
        [$count, $last] = $tries;

        return $count <= $rule->returns && $this->marked->has($entry)
            && $this->isWanted($rule, $entry, $this->visits[$last]->try, $shown)
            && ($atEnd || $this->between($entry, $last) >= $rule->gap);
    }

    /** @param array<string, bool> $shown by skill */
    private function isWanted(MasteryRule $rule, string $entry, int $try, array $shown): bool
    {
        $isRight = ($this->outcomes[$entry][$try] ?? null)?->verdict === Verdict::Right;
        $skill = $this->marked->skill($entry);
        if ($rule->shown === null || $skill === null) {
            return !$isRight;
        }
        if ($isRight && !($rule->otherNumbers && $this->marked->isDrawn($entry))) {
            return false;
        }

        return !($shown[$skill] ?? false);
    }

    /** How many other questions were shown since the entry was, in this pass and those after it. */
    private function between(string $entry, int $pass): int
    {
        $entries = $this->visits[$pass]->entries;
        $between = $this->questions(array_slice($entries, 1 + (int) array_search($entry, $entries, true)));
        foreach (array_slice($this->visits, $pass + 1) as $visit) {
            $between += $this->questions($visit->entries);
            // More than any rule waits for need not be counted.
            if ($between >= MasteryRule::MOST_GAP) {
                break;
            }
        }

        return $between;
    }

    /** @param list<string> $entries */
    private function questions(array $entries): int
    {
        return count(array_filter($entries, fn (string $id): bool => $this->paper->entry($id)?->isQuestion() === true));
    }

    private function latestTry(string $section): int
    {
        return max([0, ...array_map(static fn (Visit $v): int => $v->section === $section ? $v->try : 0, $this->visits)]);
    }
}
