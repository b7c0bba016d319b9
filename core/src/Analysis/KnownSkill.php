<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use ChalkLadder\Core\Paper\KnowledgeTracing;

/**
 * How likely a student knows a skill, traced over their answers. The parameters are fitted to the answers of all who met the skill,
 * where these are enough; otherwise they are those that are stated.
 */
final readonly class KnownSkill
{
    /** So many students with so many answers each are enough to fit four chances to. */
    private const LEAST_STUDENTS = 30;
    private const LEAST_ANSWERS = 4;
    private const ROUNDS = 200;
    private const CLOSE = 1e-6;
    /** Beyond these knowing could be read the other way round (Baker, Corbett & Aleven 2008). */
    private const MOST_SLIP = 0.3;
    private const MOST_GUESS = 0.4;

    private function __construct(public KnowledgeTracing $tracing, public bool $fitted, public int $n)
    {
    }

    /**
     * By maximum likelihood with the EM algorithm for hidden Markov chains (Baum, Petrie, Soules & Weiss 1970): two states, nothing is
     * forgotten.
     *
     * @param list<list<bool>> $sequences the answers of each student, in the order they were given
     */
    public static function of(array $sequences): self
    {
        $enough = array_values(array_filter($sequences, static fn (array $answers): bool => count($answers) >= self::LEAST_ANSWERS));
        $tracing = new KnowledgeTracing();
        if (count($enough) < self::LEAST_STUDENTS) {
            return new self($tracing, false, count($enough));
        }
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $next = self::better($tracing, $enough);
            $moved = max(
                abs($next->known - $tracing->known),
                abs($next->learn - $tracing->learn),
                abs($next->slip - $tracing->slip),
                abs($next->guess - $tracing->guess),
            );
            $tracing = $next;
            if ($moved < self::CLOSE) {
                break;
            }
        }

        return new self($tracing, true, count($enough));
    }

    /** @param list<list<bool>> $sequences */
    private static function better(KnowledgeTracing $at, array $sequences): KnowledgeTracing
    {
        $start = $learnt = $mayLearn = $slips = $known = $guesses = $unknown = 0.0;
        foreach ($sequences as $answers) {
            $n = count($answers);
            // Chance of what has been seen so far, in each state, scaled to one: not known, known.
            $ahead = [];
            $state = [1 - $at->known, $at->known];
            foreach ($answers as $t => $right) {
                $state = [
                    $state[0] * ($right ? $at->guess : 1 - $at->guess),
                    $state[1] * ($right ? 1 - $at->slip : $at->slip),
                ];
                $sum = max(1e-300, $state[0] + $state[1]);
                $ahead[$t] = $state = [$state[0] / $sum, $state[1] / $sum];
                $state = [$state[0] * (1 - $at->learn), $state[1] + $state[0] * $at->learn];
            }
            $behind = [1.0, 1.0];
            for ($t = $n - 1; $t >= 0; --$t) {
                $is = self::shared($ahead[$t][0] * $behind[0], $ahead[$t][1] * $behind[1]);
                if ($answers[$t]) {
                    $guesses += $is[0];
                } else {
                    $slips += $is[1];
                }
                $unknown += $is[0];
                $known += $is[1];
                if ($t === 0) {
                    $start += $is[1];

                    break;
                }
                $right = $answers[$t];
                $seen = [
                    ($right ? $at->guess : 1 - $at->guess) * $behind[0],
                    ($right ? 1 - $at->slip : $at->slip) * $behind[1],
                ];
                // Not known before: it stayed so, or was learnt on the way here; known before: it stayed known.
                $ways = [
                    $ahead[$t - 1][0] * (1 - $at->learn) * $seen[0],
                    $ahead[$t - 1][0] * $at->learn * $seen[1],
                    $ahead[$t - 1][1] * $seen[1],
                ];
                $all = max(1e-300, array_sum($ways));
                $learnt += $ways[1] / $all;
                $mayLearn += ($ways[0] + $ways[1]) / $all;
                $behind = self::shared((1 - $at->learn) * $seen[0] + $at->learn * $seen[1], $seen[1]);
            }
        }
        $chance = static fn (float $of, float $in, float $most): float => $in <= 0.0 ? 0.0 : max(1e-4, min($most, $of / $in));

        return new KnowledgeTracing(
            $chance($start, count($sequences), 1 - 1e-4),
            $chance($learnt, $mayLearn, 1 - 1e-4),
            $chance($slips, $known, self::MOST_SLIP),
            $chance($guesses, $unknown, self::MOST_GUESS),
        );
    }

    /** @return array{float, float} */
    private static function shared(float $a, float $b): array
    {
        $sum = max(1e-300, $a + $b);

        return [$a / $sum, $b / $sum];
    }

    /**
     * The chance that the skill is known now.
     *
     * @param list<bool> $answers in the order they were given
     */
    public function figure(array $answers): Figure
    {
        $formula = sprintf(
            'Bayesian knowledge tracing (Corbett & Anderson 1995) over all first tries on this skill in the order they were made, part credit counting as wrong. Known at the start with %.2f, learnt at a step with %.2f, slip %.2f, guess %.2f: %s.',
            $this->tracing->known,
            $this->tracing->learn,
            $this->tracing->slip,
            $this->tracing->guess,
            $this->fitted ? sprintf('fitted to the answers of %d students', $this->n) : 'stated, since too few have answered to fit them',
        );
        $trace = $this->tracing->trace($answers);
        $n = count($trace);

        return $n === 0 ? Figure::missing(0, $formula, 'No answer on this skill yet.') : new Figure(
            $trace[$n - 1],
            $n,
            $formula,
            note: Figure::few($n, 5),
        );
    }
}
