<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Number;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\AsTyped;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Printer;
use ChalkLadder\Core\Formula\Quantity;
use ChalkLadder\Core\Formula\ReadNumber;
use ChalkLadder\Core\Formula\Shape;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Formula\Tree;
use ChalkLadder\Core\Formula\Unit;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Inputs;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\TypedRule;

/**
 * A number, exact, with tolerance; a unit may be asked for and is converted where it measures the same thing.
 * Targets are tried in order and the first that is hit wins.
 */
final readonly class NumberRule extends TypedRule
{
    /** What an answer is read as that is no number. */
    private const UNREADABLE = 'not a number';

    /**
     * @param list<Target>                 $targets  values in the rule's unit
     * @param string                       $unit     a symbol of {@see Unit}, or '' for a bare number
     * @param 'none'|'optional'|'required' $unitUse
     * @param bool                         $convert  other units of the same kind are converted; otherwise only the unit asked for counts
     * @param BigRational                  $unitless the share that the right number without its required unit earns
     * @param int|null                     $figures  significant figures in which it must be written
     * @param Style                        $style    how the team writes numbers
     * @param BigRational                  $formless the share that the right value in another form earns
     */
    public function __construct(
        public array $targets,
        public string $unit = '',
        public string $unitUse = 'none',
        public NumberForm $form = NumberForm::Any,
        public bool $convert = true,
        private ?BigRational $unitless = null,
        public ?int $figures = null,
        private ?BigRational $formless = null,
        public Style $style = Style::Point,
    ) {
    }

    public static function read(Node $node): self
    {
        $unit = $node->text('unit', 20, '');
        if ($unit !== '' && Unit::named($unit) === null) {
            $node->fault('unit', 'This unit is not known. Known units: '.implode(', ', Unit::symbols()).'.');
        }
        $use = $node->oneOf('unitUse', ['none', 'optional', 'required'], $unit === '' ? 'none' : 'optional');

        return new self(
            array_map(Target::read(...), $node->children('targets', 100)),
            $unit,
            match ($use) {
                'required' => 'required', 'optional' => 'optional', default => 'none',
            },
            NumberForm::from($node->oneOf('form', array_map(static fn (NumberForm $f): string => $f->value, NumberForm::cases()), 'any')),
            $node->bool('convert', true),
            $node->has('unitless') ? $node->rational('unitless', '0', '1') : null,
            $node->has('figures') ? $node->int('figures', 1, 12) : null,
            $node->has('formless') ? $node->rational('formless', '0', '1') : null,
            Style::from($node->oneOf('style', ['point', 'comma'], 'point')),
        );
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
        $text = TextResponse::textOf($response);
        $asked = $this->asked();
        $understood = $this->understood($text);
        if ($understood === null) {
            return $this->constant($text, $asked);
        }
        [$read, $value] = $understood;
        if ($value === null) {
            $constant = $this->constant($text, $asked);

            return $constant->readAs !== self::UNREADABLE ? $constant : Outcome::of(
                BigRational::zero(),
                '',
                $read->display(),
                match (true) {
                    $asked === null => 'A number without a unit is asked for.',
                    Unit::meant($read->unit, $asked) !== null => sprintf('It is asked for in %s.', $asked->symbol),
                    default => sprintf('The unit "%s" does not fit here.', $read->unit),
                },
            );
        }
        $hit = $this->targetHitBy($value);
        if ($read->unit === '' && $this->unitUse === 'required' && $asked !== null) {
            $share = $hit === null
                ? BigRational::zero()
                : $this->targets[$hit]->credit->multipliedBy($this->unitless ?? BigRational::zero());

            return Outcome::of($share, $hit === null ? '' : 'unit missing', $read->display(), 'The unit is missing.');
        }

        return $this->outcome(
            $hit,
            NumberText::write($value).($asked === null ? '' : ' '.$asked->symbol),
            $this->form->fits($read),
            $read,
        );
    }

    /**
     * The first reading whose unit fits, and its value in the rule's unit; when none does, the plainest and no value. Null when it is
     * no number.
     *
     * @return array{ReadNumber, BigRational|null}|null
     */
    private function understood(string $text): ?array
    {
        $asked = $this->asked();
        $first = null;
        foreach (NumberText::readings($text, $this->style) as $read) {
            $first ??= $read;
            $value = $this->valueOf($read, $asked);
            if ($value !== null) {
                return [$read, $value];
            }
        }

        return $first === null ? null : [$first, null];
    }

    private function valueOf(ReadNumber $read, ?Unit $asked): ?BigRational
    {
        if ($read->unit === '') {
            return $read->value;
        }
        if ($asked === null) {
            return self::isPlainWord($read->unit) ? $read->value : null;
        }
        $given = Unit::meant($read->unit, $asked);

        return $given === null || (!$this->convert && $given->symbol !== $asked->symbol) ? null : $given->convert($read->value, $asked);
    }

    /** What is counted, not a unit of measure: `7 boats`. */
    private static function isPlainWord(string $unit): bool
    {
        return preg_match('/^\p{L}{3,}(?: \p{L}{3,}){0,2}$/Du', $unit) === 1
            && Unit::named($unit) === null
            && preg_match('/\b(?:not|and|less|more|minus|plus|times|over|per|than|pi|sqrt|root|or|dozen|half|third|quarter)\b/iu', $unit) !== 1;
    }

    /** A constant with a root, π or e in it: it may be a target itself, or near enough to one. A unit may follow it. */
    private function constant(string $text, ?Unit $asked): Outcome
    {
        [$constant, $hasUnit] = mb_strlen($text) > 60 ? [null, false] : $this->constantIn($text, $asked);
        if ($constant === null) {
            return Outcome::of(BigRational::zero(), '', self::UNREADABLE, 'This could not be read as a number.');
        }
        [$tree, $near] = $constant;
        $hit = null;
        foreach ($this->targets as $i => $target) {
            if ($target->isHitBy($near) || $target->isExactly($tree, $near)) {
                $hit = $i;
                break;
            }
        }
        $readAs = Printer::write($tree);
        if (!$hasUnit && $this->unitUse === 'required' && $asked !== null) {
            return Outcome::of(
                $hit === null ? BigRational::zero() : $this->targets[$hit]->credit->multipliedBy($this->unitless ?? BigRational::zero()),
                $hit === null ? '' : 'unit missing',
                $readAs,
                'The unit is missing.',
            );
        }

        return $this->outcome(
            $hit,
            $readAs.($asked === null ? '' : ' '.$asked->symbol),
            $this->form === NumberForm::Any || ($this->form === NumberForm::Surd && Shape::Surd->fits($tree)),
            null,
        );
    }

    /** @return array{array{Tree, BigRational}|null, bool} the constant in the rule's unit, and whether a unit stood behind it */
    private function constantIn(string $text, ?Unit $asked): array
    {
        $text = AsTyped::value($text);
        $bare = Target::constant($text, $this->style);
        if ($bare !== null || $asked === null) {
            return [$bare, false];
        }
        // What can be a unit at the end, the longest first.
        for ($at = 1; $at < mb_strlen($text); ++$at) {
            $unit = trim(mb_substr($text, $at));
            $given = preg_match('/^[\p{L}°\p{Sc}]/u', $unit) === 1 ? Unit::meant($unit, $asked) : null;
            $constant = $given === null ? null : Target::constant(mb_substr($text, 0, $at), $this->style);
            if ($given !== null && $constant !== null && ($this->convert || $given->symbol === $asked->symbol)) {
                [$tree, $near] = $constant;
                $factor = $given->convert(BigRational::one(), $asked);

                return [
                    $factor->isEqualTo(1) || !$asked->zero->isZero() ? $constant
                        : [new Tree('*', [Tree::number($factor), $tree]), $near->multipliedBy($factor)->simplified()],
                    true,
                ];
            }
        }

        return [null, false];
    }

    private function outcome(?int $hit, string $readAs, bool $formed, ?ReadNumber $read): Outcome
    {
        if ($hit === null) {
            return Outcome::of(BigRational::zero(), '', $readAs);
        }
        $target = $this->targets[$hit];
        $figured = $this->figures === null || ($read !== null && NumberText::figuresOf($read) === $this->figures);
        if ((!$formed || !$figured) && $target->credit->isPositive()) {
            $asked = $formed ? sprintf('to %d significant figures', $this->figures ?? 0) : $this->form->asked();

            return Outcome::of(
                $target->credit->multipliedBy($this->formless ?? BigRational::of('1/2')),
                'target '.($hit + 1).', form',
                $readAs,
                sprintf('The value is right; it is asked for %s.', $asked),
            );
        }

        return Outcome::of(
            $target->credit,
            'target '.($hit + 1),
            $readAs,
            $target->feedback,
            $target->misconception === null ? [] : [$target->misconception],
        );
    }

    public function credits(): array
    {
        $credits = array_map(static fn (Target $t): BigRational => $t->credit, $this->targets);
        $otherwise = [$this->unitless ?? BigRational::zero(), $this->formless ?? BigRational::of('1/2')];
        foreach ($otherwise as $share) {
            foreach ($this->targets as $target) {
                $credits[] = $target->credit->multipliedBy($share);
            }
        }

        return [BigRational::zero(), ...$credits];
    }

    /** The same rule with one more target in front, or with the credit of an equal exact target replaced. */
    private function withTarget(Target $target): self
    {
        $others = array_values(array_filter(
            $this->targets,
            static fn (Target $t): bool => !$t->value->isEqualTo($target->value) || $t->credit->isEqualTo(1),
        ));

        return new self(
            [$target, ...$others],
            $this->unit,
            $this->unitUse,
            $this->form,
            $this->convert,
            $this->unitless,
            $this->figures,
            $this->formless,
            $this->style,
        );
    }

    /** In the rule's own unit. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        [$read, $value] = $this->understood(TextResponse::textOf($response)) ?? throw new NotAcceptable(
            'accept',
            'This answer could not be read as a number, so a number rule cannot accept it. Correct it for the one student.',
        );

        return $this->withTarget(new Target($value ?? $read->value, BigRational::zero(), 'absolute', $credit, $feedback));
    }

    public function face(Showing $showing): array
    {
        return ['unit' => $this->unit, 'unitUse' => $this->unitUse];
    }

    /** The first target that earns full credit. */
    public function key(): string
    {
        foreach ($this->targets as $target) {
            if ($target->credit->isEqualTo(1)) {
                return htmlspecialchars($this->withUnit($target));
            }
        }

        return '';
    }

    public function accepted(): array
    {
        return array_map(
            fn (Target $t): string => $this->withUnit($t).' for credit '.$t->credit->simplified(),
            $this->targets,
        );
    }

    private function withUnit(Target $target): string
    {
        return rtrim(NumberText::write($target->value).' '.$this->unit);
    }

    /** By value, where any way of writing it is as good as another: 2.3 m and 2.30m are the same answer. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return $this->form === NumberForm::Any && $this->figures === null && !in_array($outcome->readAs, ['', self::UNREADABLE], true)
            ? $outcome->readAs
            : $this->inWords($response);
    }

    /** The number in the unit that is asked for, where the answer has one of its kind. */
    public function inputs(Response $response): array
    {
        $text = TextResponse::textOf($response);

        return ['text' => $text, 'answer' => $this->understood($text)[1] ?? $this->inUnit(Inputs::value($text))];
    }

    private function inUnit(BigRational|Quantity|string $value): BigRational|Quantity|string|float
    {
        $asked = $this->asked();

        return $value instanceof Quantity && $asked !== null ? $value->in($asked)->number ?? $value : $value;
    }

    private function asked(): ?Unit
    {
        return $this->unit === '' ? null : Unit::named($this->unit);
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (Target $t): ?string => $t->misconception, $this->targets),
            is_string(...),
        )));
    }

    public function toArray(): array
    {
        return [
            'targets' => array_map(static fn (Target $t): array => $t->toArray(), $this->targets),
            'unit' => $this->unit,
            'unitUse' => $this->unitUse,
        ]
            + ($this->form === NumberForm::Any
                ? []
                : ['form' => $this->form->value]) + ($this->convert
                ? []
                : ['convert' => false]) + ($this->figures === null
                ? []
                : ['figures' => $this->figures])
            + ($this->unitless === null
                ? []
                : ['unitless' => (string) $this->unitless]) + ($this->formless === null
                ? []
                : ['formless' => (string) $this->formless]) + ($this->style === Style::Point
                ? []
                : ['style' => $this->style->value]);
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_filter($this->targets, static fn (Target $t): bool => $t->credit->isEqualTo(1));
        if ($right === []) {
            $defects[] = Defect::keyless('No target earns full credit, so there is no key.');
        }
        if ($this->unitUse !== 'none' && $this->unit === '') {
            $defects[] = Defect::blocking('A unit is asked for, but none is named.');
        }
        foreach ($this->targets as $i => $target) {
            foreach (array_slice($this->targets, 0, $i) as $j => $earlier) {
                $gap = $target->value->minus($earlier->value)->abs();
                if ($gap->isLessThanOrEqualTo($earlier->reach()) && !$target->credit->isEqualTo($earlier->credit)) {
                    $defects[] = Defect::blocking(sprintf(
                        'Targets %d and %d lie within tolerance of each other but earn different credit.',
                        $j + 1,
                        $i + 1,
                    ));
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
