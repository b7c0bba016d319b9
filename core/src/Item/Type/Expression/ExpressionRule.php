<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Expression;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\AsTyped;
use ChalkLadder\Core\Formula\Equality;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Printer;
use ChalkLadder\Core\Formula\Shape;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Formula\Tree;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Line;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\TypedRule;

/**
 * An algebraic expression or equation, right when it is equal as a function to a key; optionally in a required form. A
 * right value in another form earns a part. Wrong expressions worth knowing carry a line each.
 */
final readonly class ExpressionRule extends TypedRule
{
    private const UNREADABLE = 'not an expression';
    private const LONGEST = 500;

    /**
     * @param list<array{expression: string, line: Line}> $lines   the first that is equal wins
     * @param list<string>                                $names   what the expression may name
     * @param Shape|null                                  $shape   the form that is asked for
     * @param BigRational                                 $formless the share that the right value in another form earns
     * @param BigRational                                 $from    where the names range for sampling
     */
    public function __construct(
        public array $lines,
        public array $names,
        public ?Shape $shape,
        public string $subject,
        public BigRational $formless,
        public BigRational $from,
        public BigRational $to,
        public Style $style = Style::Point,
    ) {
    }

    public static function read(Node $node): self
    {
        $style = Style::from($node->oneOf('style', ['point', 'comma'], 'point'));
        $names = $node->texts('names', 12, 20);
        $lines = [];
        foreach ($node->children('lines', 40) as $line) {
            $text = $line->text('expression', self::LONGEST);
            try {
                Parser::readAnswer($text, $style, $names);
            } catch (FormulaError $e) {
                $line->fault('expression', $e->sentence());
            }
            $lines[] = ['expression' => $text, 'line' => Line::read($line)];
            $line->rejectUnknown();
        }
        $shape = $node->has('shape') ? Shape::tryFrom($node->oneOf(
            'shape',
            array_map(static fn (Shape $s): string => $s->value, Shape::cases()),
        )) : null;

        return new self(
            $lines,
            $names,
            $shape,
            $node->text('subject', 20, ''),
            $node->rational('formless', '0', '1', '1/2'),
            $node->rational('from', '-1000', '1000', '-6'),
            $node->rational('to', '-1000', '1000', '6'),
            $style,
        );
    }

    public function type(): ItemType
    {
        return ItemType::Expression;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        try {
            $text = mb_substr(TextResponse::textOf($response), 0, self::LONGEST + 1);
            $given = Parser::readAnswer($this->bare($text), $this->style, $this->names);
        } catch (FormulaError $e) {
            return Outcome::of(BigRational::zero(), '', self::UNREADABLE, 'This could not be read. '.$e->sentence());
        }
        $readAs = Printer::write($given);
        foreach ($this->lines as $i => $line) {
            $key = $this->tree($line['expression']);
            if ($key === null || Equality::of($given, $key, $this->from->toFloat(), $this->to->toFloat())->equal !== true) {
                continue;
            }
            $name = 'line '.($i + 1);
            if ($this->shape !== null && !$this->shape->fits($given, $this->subject) && $line['line']->credit->isGreaterThan(0)) {
                return Outcome::of(
                    $line['line']->credit->multipliedBy($this->formless),
                    $name.', form',
                    $readAs,
                    sprintf('The value is right; it is asked for %s.', $this->asked()),
                );
            }

            return $line['line']->outcome($name, $readAs);
        }

        return Outcome::of(BigRational::zero(), '', $readAs);
    }

    /** Where no equation is asked for, `y =` or `f(x) =` in front of the expression says nothing. */
    private function bare(string $text): string
    {
        $text = AsTyped::expression($text);
        $equations = array_filter($this->lines, static fn (array $l): bool => preg_match('/[=<>≤≥]/u', $l['expression']) === 1);
        if ($equations === [] && preg_match('/^\s*(?:(\p{L})\s*(?:\(\s*\p{L}\s*\))?\s*)?=\s*([^=]+)$/Du', $text, $m) === 1
            && !in_array($m[1], $this->names, true)) {
            return $m[2];
        }

        return $text;
    }

    private function asked(): string
    {
        return match ($this->shape) {
            Shape::Subject => sprintf('with %s alone on one side', $this->subject),
            Shape::SingleFraction => 'as a single fraction',
            Shape::Surd => 'with the root in simplest form',
            Shape::Expanded => 'without brackets, like terms collected',
            default => 'as a product, fully factorised',
        };
    }

    private function tree(string $expression): ?Tree
    {
        try {
            return Parser::readAnswer($expression, $this->style, $this->names);
        } catch (FormulaError) {
            return null;
        }
    }

    public function face(Showing $showing): array
    {
        return ['names' => $this->names];
    }

    public function credits(): array
    {
        $credits = array_map(static fn (array $l): BigRational => $l['line']->credit, $this->lines);
        $formless = $this->shape === null ? [] : array_map(fn (BigRational $c): BigRational => $c->multipliedBy($this->formless), $credits);

        return [BigRational::zero(), ...$credits, ...$formless];
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        $text = mb_substr(trim(TextResponse::textOf($response)), 0, self::LONGEST);
        try {
            $bare = $this->bare($text);
            $given = Parser::readAnswer($bare, $this->style, $this->names);
        } catch (FormulaError $e) {
            throw new NotAcceptable('accept', $e->sentence());
        }
        // What was equal to it so far makes way: the first that is equal counts.
        $others = array_values(array_filter($this->lines, function (array $line) use ($given): bool {
            $tree = $this->tree($line['expression']);

            return $tree === null || Equality::of($given, $tree, $this->from->toFloat(), $this->to->toFloat())->equal !== true;
        }));

        return new self(
            [...$others, ['expression' => $bare, 'line' => new Line($credit, $feedback)]],
            $this->names,
            $this->shape,
            $this->subject,
            $this->formless,
            $this->from,
            $this->to,
            $this->style,
        );
    }

    /** However it was spaced, and its products written. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return in_array($outcome->readAs, ['', self::UNREADABLE], true) ? $this->inWords($response) : $outcome->readAs;
    }

    /** The first line that earns full credit. */
    public function key(): string
    {
        foreach ($this->lines as $line) {
            if ($line['line']->credit->isEqualTo(1)) {
                return htmlspecialchars($line['expression']);
            }
        }

        return '';
    }

    public function accepted(): array
    {
        return array_map(
            static fn (array $l): string => $l['expression'].' for credit '.$l['line']->credit->simplified(),
            $this->lines,
        );
    }

    public function misconceptions(): array
    {
        return Line::misconceptionsOf(array_column($this->lines, 'line'));
    }

    public function toArray(): array
    {
        return [
            'lines' => array_map(static fn (array $l): array => ['expression' => $l['expression']] + $l['line']->toArray(), $this->lines),
            'names' => $this->names, 'shape' => $this->shape?->value, 'subject' => $this->subject,
            'formless' => (string) $this->formless, 'from' => (string) $this->from, 'to' => (string) $this->to,
            'style' => $this->style->value,
        ];
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_values(array_filter($this->lines, static fn (array $l): bool => $l['line']->credit->isEqualTo(1)));
        if ($right === []) {
            $defects[] = Defect::blocking('No expression earns full credit, so there is no key.');
        }
        foreach ($this->lines as $i => $line) {
            foreach (array_slice($this->lines, 0, $i) as $j => $earlier) {
                [$a, $b] = [$this->tree($line['expression']), $this->tree($earlier['expression'])];
                if ($a !== null && $b !== null && Equality::of($a, $b)->equal === true) {
                    $defects[] = Defect::blocking(sprintf('Lines %d and %d are equal; only the first counts.', $j + 1, $i + 1));
                }
            }
        }
        if ($this->shape === Shape::Subject && $this->subject === '') {
            $defects[] = Defect::blocking('The name that is to stand alone is missing.');
        }

        return $defects;
    }
}
