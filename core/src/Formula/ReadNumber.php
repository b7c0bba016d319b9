<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** A number as a person wrote it: its exact value, the unit text that followed, and the form it was written in. */
final readonly class ReadNumber
{
    /**
     * @param string $form     one of integer, decimal, fraction, mixed, percent, standard, multiple (`2.5 million`), compound (`1 h 30 min`)
     * @param int    $decimals digits written after the decimal sign
     * @param string $written  as it was written, in one way of writing ({@see AsTyped}), with a decimal point
     */
    public function __construct(
        public BigRational $value,
        public string $unit,
        public string $form,
        public int $decimals,
        public string $written = '',
    ) {
    }

    public function negated(): self
    {
        return new self($this->value->negated(), $this->unit, $this->form, $this->decimals, $this->written);
    }

    /** The number as it was understood, for "read as …". */
    public function display(): string
    {
        return NumberText::write($this->value).($this->unit === '' ? '' : ' '.$this->unit);
    }
}
