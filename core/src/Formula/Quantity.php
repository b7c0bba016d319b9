<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** A number with a unit. */
final readonly class Quantity
{
    public function __construct(public BigRational|float $number, public Unit $unit)
    {
    }

    /** The same quantity, counted in another unit; null when they do not measure the same. */
    public function in(Unit $unit): ?self
    {
        if (!$this->unit->measuresSameAs($unit)) {
            return null;
        }
        if ($this->number instanceof BigRational) {
            return new self($this->unit->convert($this->number, $unit), $unit);
        }
        // Both ways are affine: two exact points of the line settle it for any float.
        $zero = $this->unit->convert(BigRational::zero(), $unit)->toFloat();
        $slope = $this->unit->convert(BigRational::one(), $unit)->toFloat() - $zero;

        return new self($zero + $slope * $this->number, $unit);
    }
}
