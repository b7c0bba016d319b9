<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** The form in which an expression is written: what "expanded", "factorised" and the like ask for. */
enum Shape: string
{
    case Expanded = 'expanded';
    case Factorised = 'factorised';
    case SingleFraction = 'single fraction';
    case Subject = 'subject';
    case Surd = 'surd';

    /** @param string $subject for {@see Subject}: the name that is to stand alone on the left */
    public function fits(Tree $tree, string $subject = ''): bool
    {
        return match ($this) {
            self::Expanded => self::expanded($tree),
            self::Factorised => self::factorised($tree),
            self::SingleFraction => self::singleFraction($tree),
            self::Subject => self::subject($tree, $subject),
            self::Surd => self::surd($tree),
        };
    }

    /** @return list<Tree> */
    private static function terms(Tree $tree): array
    {
        return match ($tree->op) {
            '+', '-' => [...self::terms($tree->parts[0]), ...self::terms($tree->parts[1])],
            'neg' => self::terms($tree->parts[0]),
            default => [$tree],
        };
    }

    /** @return list<Tree> */
    private static function factors(Tree $tree): array
    {
        return match ($tree->op) {
            '*' => [...self::factors($tree->parts[0]), ...self::factors($tree->parts[1])],
            'neg' => self::factors($tree->parts[0]),
            default => [$tree],
        };
    }

    private static function holdsSum(Tree $tree): bool
    {
        if ($tree->op === '+' || $tree->op === '-') {
            return true;
        }
        foreach ($tree->parts as $part) {
            if (self::holdsSum($part)) {
                return true;
            }
        }

        return false;
    }

    /** A sum of terms without brackets, like terms collected. */
    private static function expanded(Tree $tree): bool
    {
        $terms = self::terms($tree);
        foreach ($terms as $term) {
            if (self::holdsSum($term)) {
                return false;
            }
        }
        $function = RationalFunction::of($tree);

        return $function === null || !$function->under->isConstant() || count($terms) <= max(1, count($function->over->terms));
    }

    /** A product of factors of which none can be taken apart further. */
    private static function factorised(Tree $tree): bool
    {
        $factors = 0;
        foreach (self::factors($tree) as $factor) {
            $base = $factor->op === '^' ? $factor->parts[0] : $factor;
            $function = RationalFunction::of($base);
            if ($function === null || !$function->under->isConstant()) {
                return false;
            }
            if ($function->over->degree() < 1) {
                continue;
            }
            if ($function->over->times(Polynomial::constant(($function->under->terms['']
                ?? BigRational::one())->reciprocal()))->canBeFactorised()) {
                return false;
            }
            $factors += $factor->op === '^' ? 2 : 1;
        }
        $whole = RationalFunction::of($tree);

        return $factors >= 2 || ($whole !== null && $whole->under->isConstant() && $whole->over->degree() === 1);
    }

    private static function singleFraction(Tree $tree): bool
    {
        $tree = $tree->op === 'neg' ? $tree->parts[0] : $tree;

        return $tree->op === '/' && !self::divides($tree->parts[0]) && !self::divides($tree->parts[1]);
    }

    private static function divides(Tree $tree): bool
    {
        if ($tree->op === '/' || ($tree->op === '^' && $tree->parts[1]->op === 'neg')) {
            return true;
        }
        foreach ($tree->parts as $part) {
            if (self::divides($part)) {
                return true;
            }
        }

        return false;
    }

    private static function subject(Tree $tree, string $subject): bool
    {
        $sides = Equality::sides($tree);
        if ($sides === null) {
            return false;
        }
        [$left, $right] = $sides;

        return ($left->op === 'name' && $left->text() === $subject && !in_array($subject, $right->names(), true))
            || ($right->op === 'name' && $right->text() === $subject && !in_array($subject, $left->names(), true));
    }

    /** a√b in simplest form: b has no square factor and is not 1; a may be a fraction or left out. */
    private static function surd(Tree $tree): bool
    {
        $roots = 0;
        $fits = true;
        $walk = static function (Tree $t) use (&$walk, &$roots, &$fits): void {
            if ($t->op === 'call' && $t->text() === 'sqrt') {
                ++$roots;
                $fits = $fits && $t->parts[0]->op === 'number' && self::squarefree($t->parts[0]->exact());

                return;
            }
            $fits = $fits && in_array(
                $t->op,
                ['number', '*', '/', 'neg', '+', '-'],
                true,
            ) && ($t->op !== '/' || $t->parts[1]->op === 'number');
            array_map($walk, $t->parts);
        };
        $walk($tree);

        return $fits && $roots >= 1;
    }

    private static function squarefree(BigRational $value): bool
    {
        if (!$value->getDenominator()->isEqualTo(1) || $value->isLessThan(2) || $value->isGreaterThan(1_000_000)) {
            return false;
        }
        $n = $value->getNumerator()->toInt();
        for ($d = 2; $d * $d <= $n; ++$d) {
            if ($n % ($d * $d) === 0) {
                return false;
            }
        }

        return true;
    }
}
