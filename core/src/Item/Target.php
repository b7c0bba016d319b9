<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** A value that a number answer may hit, with how near is near enough. A distractor is a target with little or no credit. */
final readonly class Target
{
    /** @param 'absolute'|'relative' $kind relative: the tolerance is a share of the target's size */
    public function __construct(
        public BigRational $value,
        public BigRational $tolerance,
        public string $kind,
        public BigRational $credit,
        public string $feedback = '',
        public ?string $misconception = null,
    ) {
    }

    public function isHitBy(BigRational $value): bool
    {
        return $value->minus($this->value)->abs()->isLessThanOrEqualTo($this->reach());
    }

    public function reach(): BigRational
    {
        return $this->kind === 'relative' ? $this->value->abs()->multipliedBy($this->tolerance) : $this->tolerance;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['value' => (string) $this->value, 'tolerance' => (string) $this->tolerance, 'kind' => $this->kind, 'credit' => (string) $this->credit, 'feedback' => $this->feedback, 'misconception' => $this->misconception];
    }
}
