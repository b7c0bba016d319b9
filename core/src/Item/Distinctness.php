<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Effort;
use ChalkLadder\Core\Formula\EffortSpent;
use ChalkLadder\Core\Formula\FormulaError;

/**
 * Walks the draws of a question with variables and finds those that must not be handed out: two options that coincide, a
 * distractor within tolerance of the key, a value with more decimals than allowed, a formula without a value.
 *
 * Exhaustive up to 50 000 combinations; beyond that 10 000 draws, and the report says so.
 */
final readonly class Distinctness
{
    private const EXHAUSTIVE = 50_000;
    private const DRAWS = 10_000;
    /** Steps of formulas that a walk may take; where they are spent it ends, and says how far it came. */
    private const MOST_STEPS = 1_000_000;
    /** At least one combination in so many must be fit, so that every seed finds one in a bounded number of tries. */
    public const RAREST = 100;

    public function __construct(private ItemTemplate $template)
    {
    }

    /**
     * Walked: the combinations that were looked at; draws: those of them that keep the constraints.
     *
     * @return array{exhaustive: bool, walked: int, draws: int, good: int, faults: list<array{message: string, draws: int, example: array<string, string>}>}
     */
    public function report(): array
    {
        $combinations = $this->template->variables->combinations();
        $exhaustive = $combinations <= self::EXHAUSTIVE;
        $walked = $exhaustive ? $combinations : self::DRAWS;
        $draws = $good = 0;
        $faults = [];
        $effort = new Effort(self::MOST_STEPS);
        for ($i = 0; $i < $walked; ++$i) {
            try {
                $values = $exhaustive
                    ? $this->template->variables->combination($i, $effort)
                    : $this->template->variables->draw('walk', $i, $effort);
                $found = $values === null ? [] : $this->faults($values, $effort);
            } catch (EffortSpent) {
                $exhaustive = false;
                $walked = $i;
                break;
            }
            if ($values === null) {
                continue;
            }
            ++$draws;
            $good += $found === [] ? 1 : 0;
            foreach ($found as $message) {
                $faults[$message]['draws'] = ($faults[$message]['draws'] ?? 0) + 1;
                $faults[$message]['example'] ??= array_map(strval(...), $values);
            }
        }
        uasort($faults, static fn (array $a, array $b): int => $b['draws'] <=> $a['draws']);
        $list = [];
        foreach ($faults as $message => $fault) {
            $list[] = ['message' => (string) $message, 'draws' => $fault['draws'], 'example' => $fault['example']];
        }

        return ['exhaustive' => $exhaustive, 'walked' => $walked, 'draws' => $draws, 'good' => $good, 'faults' => $list];
    }

    /** @return list<Defect> what blocks publishing, and what is worth knowing */
    public function defects(): array
    {
        $report = $this->report();
        if ($report['good'] === 0) {
            return [Defect::blocking($report['draws'] === 0
                ? 'No combination of the variables keeps the constraints.'
                : 'No draw is fit to be handed out: '.($report['faults'][0]['message'] ?? ''))];
        }

        if ($report['walked'] > $report['good'] * self::RAREST) {
            return [Defect::blocking(sprintf(
                'Only %d of %d combinations of the variables are fit to be handed out. Narrow their domains.',
                $report['good'],
                $report['walked'],
            ))];
        }

        return array_map(
            static fn (array $f): Defect => Defect::advice(sprintf(
                '%s in %d of %d draws; those are never handed out.',
                $f['message'],
                $f['draws'],
                $report['draws'],
            )),
            $report['faults'],
        );
    }

    /**
     * @param array<string, BigRational|string> $values
     *
     * @return list<string> what speaks against this draw
     */
    public function faults(array $values, Effort $effort): array
    {
        try {
            $faults = [];
            foreach ($this->template->formulas() as $formula) {
                if (!$this->fewDecimals($this->template->value($formula, $values, $effort))) {
                    $faults[] = sprintf('“%s” has more than %d decimals', trim($formula), $this->template->variables->decimals);
                }
            }

            $type = ItemType::tryFrom($this->template->type())?->definition();

            return [...$faults, ...($type === null ? [] : $type->faults(new DrawnRule($this->template, $values, $effort)))];
        } catch (FormulaError $e) {
            return [rtrim($e->getMessage(), '.')];
        }
    }

    private function fewDecimals(BigRational $value): bool
    {
        $shifted = $value->multipliedBy(BigRational::of(10)->power($this->template->variables->decimals));

        return $shifted->simplified()->getDenominator()->isEqualTo(1);
    }
}
