<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Document\Problem;
use ChalkLadder\Core\Formula\Arithmetic;
use ChalkLadder\Core\Formula\Budget;
use ChalkLadder\Core\Formula\Effort;
use ChalkLadder\Core\Formula\EffortSpent;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;

/**
 * A question as it is written. With variables, `{h - l}` in its texts shows a value and `= h - l` where its rule wants a
 * number works one out, so each distractor is the formula that one wrong idea follows, and every student may have numbers
 * of their own. Without variables it is the same for all, and braces are braces.
 */
final class ItemTemplate
{
    /** A draw that no constraint or fault speaks against is looked for so often; see {@see Distinctness::RAREST}. */
    private const MOST_TRIES = 2000;
    /** Steps of formulas that looking for one draw may take. Usual questions need some hundred. */
    private const MOST_STEPS = 100_000;
    /** What putting one draw into the texts costs at least. */
    private const FILLING = 100;

    /** @var array<string, Tree> */
    private array $trees = [];
    private ?OwnItem $sample = null;

    /** @var list<string>|null */
    private ?array $formulas = null;
    private ?FormulaError $unreadable = null;

    /**
     * @param array<array-key, mixed>          $written  the whole document
     * @param array<array-key, mixed>          $document the same without its variables
     * @param Item|null                        $plain    the question, where there is nothing to draw
     * @param list<Defect>|null                $found    what walking its draws has found, if it is known already
     */
    private function __construct(
        private readonly array $written,
        private readonly array $document,
        public readonly Variables $variables,
        private readonly ?Item $plain,
        private readonly ?array $found = null,
    ) {
    }

    /**
     * @param array<array-key, mixed> $document
     *
     * @throws DocumentInvalid also when no draw at all makes a question that can be read
     */
    public static function read(array $document): self
    {
        $node = new Node($document);
        $variables = Variables::read($node);
        $node->finish();
        if (!self::isOne($document)) {
            return new self($document, $document, $variables, ItemReader::read($document));
        }
        $template = new self(
            $document,
            array_diff_key($document, ['variables' => 1, 'constraints' => 1, 'decimals' => 1]),
            $variables,
            null,
        );
        $template->readable();

        return $template;
    }

    public static function of(Item $item): self
    {
        return self::read($item->toArray());
    }

    /** @param array<array-key, mixed> $document */
    public static function isOne(array $document): bool
    {
        return is_array($document['variables'] ?? null) && $document['variables'] !== [];
    }

    public function hasVariables(): bool
    {
        return $this->plain === null;
    }

    /**
     * The question as the owner of a seed has it. The same seed gives the same numbers, whatever has become of the rule
     * since, as long as it is asked of the question as it was published.
     */
    public function own(string $seed): OwnItem
    {
        if ($this->plain !== null) {
            return new OwnItem($this->plain);
        }
        $numbers = $this->draw($seed);

        // A question without a good draw is never published; its draft can still be looked at.
        return $numbers === null ? $this->readable() : $this->with($numbers);
    }

    /**
     * @param array<string, BigRational|string> $numbers by variable
     *
     * @throws FormulaError    when a formula has no value
     * @throws DocumentInvalid when what comes of it is no question
     */
    public function with(array $numbers): OwnItem
    {
        return $this->plain !== null ? new OwnItem($this->plain) : new OwnItem($this->item($numbers), $numbers);
    }

    /** One draw that stands for all, for those who look at the question itself. */
    public function sample(): Item
    {
        return ($this->sample ??= $this->own('sample'))->item;
    }

    /**
     * Values for a seed; the first draw that keeps the constraints and that nothing speaks against.
     *
     * @return array<string, BigRational|string>|null null when none was found: a publishing defect
     */
    public function draw(string $seed): ?array
    {
        $distinctness = new Distinctness($this);
        $effort = new Effort(self::MOST_STEPS);
        try {
            foreach ($this->variables->draws($seed, self::MOST_TRIES, $effort) as $values) {
                if ($values !== null && $distinctness->faults($values, $effort) === []) {
                    return $values;
                }
            }
        } catch (EffortSpent) {
            // As if none of the others were fit: whoever asks has a word for that.
        }

        return null;
    }

    /** @return list<Defect> of the question, and of its draws */
    public function defects(): array
    {
        return [...$this->sample()->defects(), ...($this->plain !== null ? [] : $this->found ?? (new Distinctness($this))->defects())];
    }

    /**
     * The same, with what walking its draws has found. The walk takes a while; a caller may keep its findings.
     *
     * @param list<Defect> $found of {@see Distinctness::defects()}
     */
    public function knowing(array $found): self
    {
        return new self($this->written, $this->document, $this->variables, $this->plain, $found);
    }

    public function withPoints(BigRational $points): self
    {
        return new self(
            ['points' => (string) $points] + $this->written,
            ['points' => (string) $points] + $this->document,
            $this->variables,
            $this->plain?->withPoints($points),
            $this->found,
        );
    }

    /**
     * @param array<array-key, mixed> $rule as it is written, with formulas where there are variables
     *
     * @throws DocumentInvalid
     */
    public function withRule(array $rule): self
    {
        return self::read(['rule' => $rule] + $this->toArray());
    }

    /** The same with every member that its document left out and that means something there, as for a question without variables. */
    public function whole(): self
    {
        if ($this->plain !== null) {
            return $this;
        }
        $whole = self::completed($this->written, $this->sample()->toArray());

        return $whole === $this->written ? $this : self::read($whole);
    }

    /**
     * @param array<array-key, mixed> $written
     * @param array<array-key, mixed> $read
     *
     * @return array<array-key, mixed>
     */
    private static function completed(array $written, array $read): array
    {
        foreach ($read as $key => $value) {
            if (!array_key_exists($key, $written)) {
                // A list is as long as it was written.
                $written = is_int($key) ? $written : $written + [$key => $value];
            } elseif (is_array($value) && is_array($written[$key])) {
                $written[$key] = self::completed($written[$key], $value);
            }
        }

        return $written;
    }

    /** @return array<string, mixed> as it is written */
    public function toArray(): array
    {
        return $this->plain?->toArray() ?? self::named($this->written);
    }

    /**
     * The question with these values in their places.
     *
     * @param array<string, BigRational|string> $values
     *
     * @throws FormulaError    when a formula has no value
     * @throws DocumentInvalid when what comes of it is no question
     */
    public function item(array $values): Item
    {
        $filled = $this->filled($this->document, $values, '');

        return ItemReader::read(is_array($filled) ? $filled : []);
    }

    /** @return array<string, mixed> the answer rule as it is written */
    public function rule(): array
    {
        $rule = $this->toArray()['rule'] ?? null;

        return self::named(is_array($rule) ? $rule : []);
    }

    public function type(): string
    {
        return is_string($this->document['type'] ?? null) ? $this->document['type'] : '';
    }

    /**
     * @return list<string> every formula that a draw works out, in prompt and rule
     *
     * @throws FormulaError
     */
    public function formulas(): array
    {
        if ($this->unreadable !== null) {
            throw $this->unreadable;
        }
        try {
            return $this->formulas ??= $this->findFormulas();
        } catch (FormulaError $e) {
            // Every draw asks; what cannot be read is read once.
            throw $this->unreadable = $e;
        }
    }

    /** @return list<string> */
    private function findFormulas(): array
    {
        $found = [];
        $walk = static function (mixed $value, string $key) use (&$walk, &$found): void {
            if (is_array($value)) {
                foreach ($value as $k => $v) {
                    if ($k !== 'checks') {
                        $walk($v, (string) $k);
                    }
                }
            } elseif (is_string($value)) {
                array_push($found, ...(str_starts_with($value, '=') ? [substr($value, 1)] : Template::read($value)));
            }
        };
        $walk($this->document, '');

        // What stands for words is shown, not worked out.
        return array_values(array_unique(array_filter(
            $found,
            fn (string $formula): bool => !in_array(trim($formula), $this->variables->words(), true),
        )));
    }

    /**
     * @param array<string, BigRational|string> $values
     *
     * @throws FormulaError
     */
    public function value(string $formula, array $values, ?Effort $effort = null): BigRational
    {
        $tree = $this->tree($formula, $effort);
        $value = Arithmetic::numeric(Evaluator::value($tree, $values, new Texts(), new Budget($effort)), $tree->at);

        return $value instanceof BigRational ? $value : BigRational::of(sprintf('%.9F', $value))->simplified();
    }

    private function tree(string $formula, ?Effort $effort = null): Tree
    {
        if (!isset($this->trees[$formula])) {
            $effort?->spend(intdiv(strlen($formula), 2));
        }

        return $this->trees[$formula] ??= Parser::read(html_entity_decode($formula), names: $this->variables->names());
    }

    /**
     * @param array<array-key, mixed> $object
     *
     * @return array<string, mixed>
     */
    private static function named(array $object): array
    {
        return array_combine(array_map(strval(...), array_keys($object)), array_values($object));
    }

    /**
     * The first draw that makes a question at all.
     *
     * @throws DocumentInvalid
     */
    private function readable(): OwnItem
    {
        $reason = null;
        $effort = new Effort(self::MOST_STEPS);
        try {
            // What cannot be read is so in every draw.
            array_map(fn (string $formula): Tree => $this->tree($formula, $effort), $this->formulas());
            foreach ($this->variables->draws('read', self::MOST_TRIES, $effort) as $values) {
                $effort->spend($values === null ? 1 : self::FILLING);
                try {
                    if ($values !== null) {
                        return $this->with($values);
                    }
                } catch (FormulaError $e) {
                    $reason = new DocumentInvalid([new Problem('rule', $e->sentence())]);
                } catch (DocumentInvalid $e) {
                    $reason = $e;
                }
            }
        } catch (FormulaError $e) {
            throw new DocumentInvalid([new Problem('rule', $e->sentence())]);
        } catch (EffortSpent) {
            throw $reason ?? new DocumentInvalid([new Problem(
                'variables',
                'Working out these numbers takes too long. Use fewer variables, smaller domains or shorter formulas.',
            )]);
        }

        throw $reason ?? new DocumentInvalid([new Problem('constraints', 'No combination of the variables keeps all constraints.')]);
    }

    /** @param array<string, BigRational|string> $values */
    private function filled(mixed $value, array $values, string $key): mixed
    {
        if (is_array($value)) {
            $filled = [];
            foreach ($value as $k => $v) {
                // Checks see the variables when they are tried.
                $filled[$k] = $k === 'checks' ? $v : $this->filled($v, $values, is_int($k) ? $key : $k);
            }

            return $filled;
        }
        if (!is_string($value)) {
            return $value;
        }
        if (str_starts_with($value, '=')) {
            return (string) $this->value(substr($value, 1), $values)->simplified();
        }

        return str_contains($value, '{') ? Template::fill(
            $value,
            $values,
            in_array($key, ['prompt', 'hint', 'explanation', 'text'], true) || ($key === 'feedback' && Said::isRich($value)),
        ) : $value;
    }
}
