<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Unit;

/**
 * A number, exact, with tolerance; a unit may be asked for and is converted where it measures the same thing.
 * Targets are tried in order and the first that is hit wins.
 */
final readonly class NumberRule implements Rule
{
    /**
     * @param list<Target>                $targets  values in the rule's unit
     * @param string                      $unit     a symbol of {@see Unit}, or '' for a bare number
     * @param 'none'|'optional'|'required' $unitUse
     */
    public function __construct(public array $targets, public string $unit = '', public string $unitUse = 'none')
    {
    }

    public function type(): ItemType
    {
        return ItemType::Number;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $read = NumberText::read($response->text);
        if ($read === null) {
            return Outcome::of(BigRational::zero(), '', 'not a number', 'This could not be read as a number.');
        }
        $value = $read->value;
        $asked = $this->unit === '' ? null : Unit::named($this->unit);
        if ($read->unit !== '') {
            $given = Unit::named($read->unit);
            if ($given === null || $asked === null || !$given->measuresSameAs($asked)) {
                return Outcome::of(BigRational::zero(), '', $read->display(), $asked === null ? 'A number without a unit is asked for.' : sprintf('The unit "%s" does not fit here.', $read->unit));
            }
            $value = $given->convert($value, $asked);
        } elseif ($this->unitUse === 'required' && $asked !== null) {
            $hit = $this->targetHitBy($value);

            return Outcome::of(BigRational::zero(), $hit === null ? '' : 'unit missing', $read->display(), 'The unit is missing.');
        }
        $readAs = NumberText::write($value).($asked === null ? '' : ' '.$asked->symbol);
        $hit = $this->targetHitBy($value);
        if ($hit === null) {
            return Outcome::of(BigRational::zero(), '', $readAs);
        }
        $target = $this->targets[$hit];

        return Outcome::of($target->credit, 'target '.($hit + 1), $readAs, $target->feedback, $target->misconception === null ? [] : [$target->misconception]);
    }

    /** The same rule with one more target in front, or with the credit of an equal exact target replaced. */
    public function accepting(Target $target): self
    {
        $others = array_values(array_filter($this->targets, static fn (Target $t): bool => !$t->value->isEqualTo($target->value) || $t->credit->isEqualTo(1)));

        return new self([$target, ...$others], $this->unit, $this->unitUse);
    }

    public function waitsForMarker(): bool
    {
        return false;
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(array_map(static fn (Target $t): ?string => $t->misconception, $this->targets), is_string(...))));
    }

    public function toArray(): array
    {
        return ['targets' => array_map(static fn (Target $t): array => $t->toArray(), $this->targets), 'unit' => $this->unit, 'unitUse' => $this->unitUse];
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_filter($this->targets, static fn (Target $t): bool => $t->credit->isEqualTo(1));
        if ($right === []) {
            $defects[] = Defect::blocking('No target earns full credit, so there is no key.');
        }
        if ($this->unitUse !== 'none' && $this->unit === '') {
            $defects[] = Defect::blocking('A unit is asked for, but none is named.');
        }
        foreach ($this->targets as $i => $target) {
            foreach (array_slice($this->targets, 0, $i) as $j => $earlier) {
                $gap = $target->value->minus($earlier->value)->abs();
                if ($gap->isLessThanOrEqualTo($earlier->reach()) && !$target->credit->isEqualTo($earlier->credit)) {
                    $defects[] = Defect::blocking(sprintf('Targets %d and %d lie within tolerance of each other but earn different credit.', $j + 1, $i + 1));
                }
            }
        }

        return $defects;
    }

    private function targetHitBy(BigRational $value): ?int
    {
        foreach ($this->targets as $i => $target) {
            if ($target->isHitBy($value)) {
                return $i;
            }
        }

        return null;
    }
}
