<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Number;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Equality;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Formula\Tree;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Texts;

/** A value that a number answer may hit, with how near is near enough. A distractor is a target with little or no credit. */
final readonly class Target
{
    public const KINDS = ['absolute', 'relative', 'decimals', 'figures', 'range'];

    /**
     * @param BigRational    $tolerance absolute: the same unit; relative: a share of the target's size; decimals, figures: to how many places
     *                                  or significant figures both are rounded, half up; range: the width, from `value` upwards
     * @param value-of<self::KINDS> $kind
     * @param string         $exact     an exact value that is no fraction, such as `2√3`; then `value` is a fraction near it
     */
    public function __construct(
        public BigRational $value,
        public BigRational $tolerance,
        public string $kind,
        public BigRational $credit,
        public string $feedback = '',
        public ?string $misconception = null,
        public string $exact = '',
    ) {
    }

    public static function read(Node $node): self
    {
        $kind = match ($node->oneOf('kind', self::KINDS, 'absolute')) {
            'relative' => 'relative', 'decimals' => 'decimals', 'figures' => 'figures', 'range' => 'range', default => 'absolute',
        };
        $exact = $node->text('exact', 60, '');
        $near = null;
        if ($exact !== '') {
            [, $near] = self::constant($exact) ?? [null, null];
            if ($near === null) {
                $node->fault('exact', 'This must be an exact number such as 2√3.');
            }
        }
        $value = $near ?? $node->rational('value', '-1000000000', '1000000000');
        $node->has('value');
        $places = in_array($kind, ['decimals', 'figures'], true);
        $tolerance = $node->rational('tolerance', $kind === 'figures' ? '1' : '0', $places ? '12' : '1000000000', $places ? null : '0');
        if ($places && !$tolerance->simplified()->getDenominator()->isEqualTo(1)) {
            $node->fault('tolerance', 'This must be a whole number of places or figures.');
            $tolerance = BigRational::one();
        }
        $target = new self(
            $value,
            $tolerance,
            $kind,
            $node->rational('credit', '0', '1', '1'),
            $node->text('feedback', Said::LONGEST, ''),
            $node->textOrNull('misconception', 36),
            $exact,
        );
        $node->rejectUnknown();

        return $target;
    }

    public function isHitBy(BigRational $value): bool
    {
        return match ($this->kind) {
            'decimals' => self::rounded($value, $this->tolerance->toInt())->isEqualTo(self::rounded(
                $this->value,
                $this->tolerance->toInt(),
            )),
            'figures' => self::figures($value, $this->tolerance->toInt())->isEqualTo(self::figures(
                $this->value,
                $this->tolerance->toInt(),
            )),
            'range' => $value->isGreaterThanOrEqualTo($this->value) && $value->isLessThanOrEqualTo($this->value->plus($this->tolerance)),
            'absolute' => $this->tolerance->isZero()
                ? $value->isEqualTo($this->value)
                : $value->minus($this->value)->abs()->isLessThanOrEqualTo($this->tolerance),
            default => $value->minus($this->value)->abs()->isLessThanOrEqualTo($this->reach()),
        };
    }

    /**
     * Whether a constant is this target's exact value.
     *
     * @param BigRational $near the fraction near it; where that is far off, nothing more is worked out
     */
    public function isExactly(Tree $tree, BigRational $near): bool
    {
        $value = $this->value->toFloat();
        if ($this->exact === '' || abs($near->toFloat() - $value) > 1e-9 * max(1.0, abs($value))) {
            return false;
        }
        [$exact] = self::constant($this->exact) ?? [null];

        return $exact !== null && Equality::of($tree, $exact)->equal === true;
    }

    /** How far on either side still counts; for rounding kinds half a step. */
    public function reach(): BigRational
    {
        return match ($this->kind) {
            'relative' => $this->value->abs()->multipliedBy($this->tolerance),
            'decimals' => BigRational::nd(1, BigRational::of(10)->power($this->tolerance->toInt())->getNumerator()->multipliedBy(2)),
            'figures' => $this->value->abs()->dividedBy(BigRational::of(10)->power($this->tolerance->toInt() - 1)->multipliedBy(2)),
            default => $this->tolerance,
        };
    }

    /**
     * An exact constant with a root, π or e in it, and a fraction within one part in 10¹² of it; or null.
     *
     * @return array{Tree, BigRational}|null
     */
    public static function constant(string $text, Style $style = Style::Point): ?array
    {
        if (preg_match('/√|sqrt|root|π|pi|\^|(?<![a-z])e(?![a-z])/iu', $text) !== 1) {
            return null;
        }
        // As it is said and typed: 2 root 3, 2 x √3, 4PI.
        $text = (string) preg_replace(
            ['/\b(?:square ?)?root(?: of)?(?![a-z])/iu', '/(?<=\d)(?:square ?)?root(?: of)?(?![a-z])/iu', '/pi(?![a-z])/iu', '/(?<=[\d)π]) ?[xX] ?(?=[\d√(π]|sqrt|pi)/u'],
            ['√', '√', 'π', '*'],
            $text,
        );
        try {
            $tree = Parser::readAnswer($text, $style, []);
            $value = Evaluator::value($tree, [], new Texts());
        } catch (FormulaError) {
            return null;
        }

        return is_float($value) && abs($value) < 1e9 ? [$tree, BigRational::of(sprintf('%.12F', $value))->simplified()] : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'value' => (string) $this->value,
            'tolerance' => (string) $this->tolerance,
            'kind' => $this->kind,
            'credit' => (string) $this->credit,
            'feedback' => $this->feedback,
            'misconception' => $this->misconception,
        ]
            + ($this->exact === '' ? [] : ['exact' => $this->exact]);
    }

    private static function rounded(BigRational $value, int $places): BigRational
    {
        return BigRational::of($value->toScale($places, $value->isNegative() ? RoundingMode::HALF_DOWN : RoundingMode::HALF_UP));
    }

    private static function figures(BigRational $value, int $figures): BigRational
    {
        if ($value->isZero()) {
            return $value;
        }
        // How many digits stand before the point: 1 for 1…9, 0 for 0.1…0.9.
        $size = 0;
        $rest = $value->abs();
        while ($rest->isGreaterThanOrEqualTo(10)) {
            $rest = $rest->dividedBy(10);
            ++$size;
        }
        while ($rest->isLessThan(1)) {
            $rest = $rest->multipliedBy(10);
            --$size;
        }
        $places = $figures - 1 - $size;
        $shift = BigRational::of(10)->power(abs($places));

        return $places >= 0 ? self::rounded($value, $places) : self::rounded($value->dividedBy($shift), 0)->multipliedBy($shift);
    }
}
