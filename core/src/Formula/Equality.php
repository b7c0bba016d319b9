<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** Whether two expressions are the same function, or two equations the same up to a factor that is not zero. */
final readonly class Equality
{
    /** @param bool $exact decided by exact algebra; otherwise by {@see Sampling} */
    private function __construct(public ?bool $equal, public bool $exact)
    {
    }

    public static function of(Tree $a, Tree $b, float $from = -6.0, float $to = 6.0): self
    {
        $sides = self::sides($a);
        $others = self::sides($b);
        if (($sides === null) !== ($others === null)) {
            return new self(false, true);
        }
        try {
            return $sides === null || $others === null ? self::functions($a, $b, $from, $to) : self::equations($sides, $others, $from, $to);
        } catch (FormulaError) {
            return new self(Sampling::agree($a, $b, $from, $to), false);
        }
    }

    /** @return array{Tree, Tree}|null the two sides of an equation */
    public static function sides(Tree $tree): ?array
    {
        return $tree->op === 'chain' && $tree->text() === '=' ? [$tree->parts[0], $tree->parts[1]] : null;
    }

    private static function functions(Tree $a, Tree $b, float $from, float $to): self
    {
        [$x, $y] = [RationalFunction::of($a), RationalFunction::of($b)];

        return $x !== null && $y !== null ? new self($x->equals($y), true) : new self(Sampling::agree($a, $b, $from, $to), false);
    }

    /**
     * @param array{Tree, Tree} $a
     * @param array{Tree, Tree} $b
     */
    private static function equations(array $a, array $b, float $from, float $to): self
    {
        $left = new Tree('-', [$a[0], $a[1]]);
        $right = new Tree('-', [$b[0], $b[1]]);
        [$x, $y] = [RationalFunction::of($left), RationalFunction::of($right)];
        if ($x !== null && $y !== null) {
            if ($x->over->isZero() || $y->over->isZero()) {
                return new self($x->over->isZero() && $y->over->isZero(), true);
            }

            // The same zeros where the denominators have none: numerators, or the whole sides, differ by a constant factor.
            return new self(
                $x->over->multipleOf($y->over) !== null || $x->over->times($y->under)->multipleOf($y->over->times($x->under)) !== null,
                true,
            );
        }

        return new self(
            Sampling::agree($left, $right, $from, $to) === true || Sampling::agree($left, new Tree('neg', [$right]), $from, $to) === true,
            false,
        );
    }
}
