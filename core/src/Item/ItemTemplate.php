<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Document\Problem;
use ChalkLadder\Core\Formula\Arithmetic;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;

/**
 * A question with variables. In its texts `{h - l}` shows a value; where its rule wants a number, `= h - l` works one out.
 * So each distractor is the formula that one wrong idea follows. Every student may have a draw of their own.
 */
final class ItemTemplate
{
    private const MOST_TRIES = 400;

    /** @var array<string, Tree> */
    private array $trees = [];

    /** @param array<array-key, mixed> $document the question as it is stored */
    private function __construct(private readonly array $document, public readonly Variables $variables)
    {
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
        unset($document['variables'], $document['constraints'], $document['decimals']);
        $template = new self($document, $variables);
        $reason = null;
        for ($try = 0; $try < self::MOST_TRIES; ++$try) {
            $values = $variables->draw('read', $try);
            try {
                if ($values !== null) {
                    $template->item($values);

                    return $template;
                }
            } catch (FormulaError $e) {
                $reason = new DocumentInvalid([new Problem('rule', $e->sentence())]);
            } catch (DocumentInvalid $e) {
                $reason = $e;
            }
        }

        throw $reason ?? new DocumentInvalid([new Problem('constraints', 'No combination of the variables keeps all constraints.')]);
    }

    /** @param array<array-key, mixed> $document */
    public static function isOne(array $document): bool
    {
        return is_array($document['variables'] ?? null) && $document['variables'] !== [];
    }

    /**
     * Values for a seed; the first draw that keeps the constraints and that nothing speaks against.
     *
     * @return array<string, BigRational>|null null when none was found in 400 tries: a publishing defect
     */
    public function draw(string $seed): ?array
    {
        $distinctness = new Distinctness($this);
        for ($try = 0; $try < self::MOST_TRIES; ++$try) {
            $values = $this->variables->draw($seed, $try);
            if ($values !== null && $distinctness->faults($values) === []) {
                return $values;
            }
        }

        return null;
    }

    /**
     * The question with these values in their places.
     *
     * @param array<string, BigRational> $values
     *
     * @throws FormulaError    when a formula has no value
     * @throws DocumentInvalid when what comes of it is no question
     */
    public function item(array $values): Item
    {
        $filled = $this->filled($this->document, $values, '');

        return ItemReader::read(is_array($filled) ? $filled : []);
    }

    /** @return array<array-key, mixed> the answer rule with its formulas */
    public function rule(): array
    {
        return is_array($this->document['rule'] ?? null) ? $this->document['rule'] : [];
    }

    public function type(): string
    {
        return is_string($this->document['type'] ?? null) ? $this->document['type'] : '';
    }

    /** @return list<string> every formula that a draw works out, in prompt and rule */
    public function formulas(): array
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

        return array_values(array_unique($found));
    }

    /**
     * @param array<string, BigRational> $values
     *
     * @throws FormulaError
     */
    public function value(string $formula, array $values): BigRational
    {
        $tree = $this->trees[$formula] ??= Parser::read(html_entity_decode($formula), names: $this->variables->names());
        $value = Arithmetic::numeric(Evaluator::value($tree, $values, new Texts()), $tree->at);

        return $value instanceof BigRational ? $value : BigRational::of(sprintf('%.9F', $value))->simplified();
    }

    /** @param array<string, BigRational> $values */
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

        return str_contains($value, '{') ? Template::fill($value, $values, in_array($key, ['prompt', 'hint', 'explanation', 'text'], true)) : $value;
    }
}
