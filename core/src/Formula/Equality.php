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
        $signs = [self::sign($a), self::sign($b)];
        if ($signs !== ['', '']) {
            return new self($signs[0] === $signs[1] && self::sameSide($a, $b, $from, $to), false);
        }
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

    /** Which way an inequality looks once its greater side stands on the left: `>`, `>=`, or '' for anything else. */
    private static function sign(Tree $tree): string
    {
        return $tree->op !== 'chain' ? '' : ['<' => '>', '>' => '>', '<=' => '>=', '>=' => '>='][$tree->text()] ?? '';
    }

    /** Whether what is greater than zero is the same up to a positive factor. */
    private static function sameSide(Tree $a, Tree $b, float $from, float $to): bool
    {
        $above = static fn (Tree $t): Tree => new Tree('-', $t->text()[0] === '>' ? $t->parts : array_reverse($t->parts));
        [$x, $y] = [$above($a), $above($b)];
        [$p, $q] = [RationalFunction::of($x), RationalFunction::of($y)];
        if ($p !== null && $q !== null) {
            return $p->over->times($q->under)->multipleOf($q->over->times($p->under))?->isPositive() === true;
        }

        return Sampling::agree($x, $y, $from, $to) === true;
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
        [$x, $y] = [RationalFunction::of($left)?->reduced(), RationalFunction::of($right)?->reduced()];
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

        return new self(Sampling::proportional($left, $right, $from, $to) === true, false);
    }
}
