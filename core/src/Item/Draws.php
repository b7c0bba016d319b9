<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Effort;
use ChalkLadder\Core\Formula\EffortSpent;
use ChalkLadder\Core\Formula\FormulaError;

/**
 * A question's draws, spread evenly over all combinations, so that a teacher sees where key and distractors lie. What is
 * handed out is decided by {@see Distinctness}, which walks them all.
 */
final readonly class Draws
{
    private const MOST = 60;
    /** Steps of formulas that a look may take; where they are spent it ends with what it has seen. */
    private const MOST_STEPS = 200_000;

    /**
     * @param int            $looked combinations that were looked at
     * @param list<SeenDraw> $seen   those of them that keep the constraints
     */
    private function __construct(public int $combinations, public int $looked, public array $seen)
    {
    }

    /** @throws FormulaError where a formula of the question cannot be read */
    public static function of(ItemTemplate $template): self
    {
        $combinations = $template->hasVariables() ? $template->variables->combinations() : 0;
        $most = min(self::MOST, $combinations);
        $distinctness = new Distinctness($template);
        $effort = new Effort(self::MOST_STEPS);
        $seen = [];
        for ($i = 0; $i < $most; ++$i) {
            try {
                $numbers = $template->variables->combination(intdiv($i * $combinations, $most), $effort);
                if ($numbers !== null) {
                    $seen[] = new SeenDraw($numbers, self::values($template, $numbers, $effort), $distinctness->faults($numbers, $effort));
                }
            } catch (EffortSpent) {
                return new self($combinations, $i, $seen);
            }
        }

        return new self($combinations, $most, $seen);
    }

    /**
     * @param array<string, \Brick\Math\BigRational|string> $numbers
     *
     * @return array<string, \Brick\Math\BigRational>
     */
    private static function values(ItemTemplate $template, array $numbers, Effort $effort): array
    {
        $values = [];
        foreach ($template->formulas() as $formula) {
            try {
                $values[$formula] = $template->value($formula, $numbers, $effort);
            } catch (FormulaError) {
                // It has no value in this draw; the faults say why.
            }
        }

        return $values;
    }
}
