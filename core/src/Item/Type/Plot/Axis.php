<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Plot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/** One axis of a grid, or a number line: from where to where, where its lines stand, and to what marks snap. */
final readonly class Axis
{
    /** More lines than that are no grid to read. */
    private const MOST_LINES = 200;

    /**
     * @param string      $label  what it counts, with its unit
     * @param BigRational $step   between two lines
     * @param BigRational $snap   marks stand on multiples of it, counted from where the axis begins
     */
    public function __construct(
        public string $label,
        public BigRational $from,
        public BigRational $to,
        public BigRational $step,
        public BigRational $snap,
    ) {
    }

    /** Left out, it runs from 0 to 10 in steps of 1. */
    public static function read(Node $node): self
    {
        $step = $node->rational('step', '1/1000', '100000', '1');
        $axis = new self(
            $node->text('label', 80, ''),
            $node->rational('from', '-100000', '100000', '0'),
            $node->rational('to', '-100000', '100000', '10'),
            $step,
            $node->has('snap') ? $node->rational('snap', '1/1000', '100000') : $step,
        );
        if ($axis->to->isLessThanOrEqualTo($axis->from)) {
            $node->fault('to', 'An axis ends above where it begins.');
        } elseif ($axis->to->minus($axis->from)->isGreaterThan($axis->step->multipliedBy(self::MOST_LINES))) {
            $node->fault('step', sprintf('At most %d lines can be told apart. Make the step larger.', self::MOST_LINES));
        }
        $node->rejectUnknown();

        return $axis;
    }

    public function holds(BigRational $place): bool
    {
        return $place->isGreaterThanOrEqualTo($this->from) && $place->isLessThanOrEqualTo($this->to);
    }

    /** @return array{label: string, from: string, to: string, step: string, snap: string} */
    public function toArray(): array
    {
        return [
            'label' => $this->label,
            'from' => (string) $this->from,
            'to' => (string) $this->to,
            'step' => (string) $this->step,
            'snap' => (string) $this->snap,
        ];
    }
}
