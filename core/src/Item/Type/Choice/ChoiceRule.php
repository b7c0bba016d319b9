<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Choice;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Draw;
use ChalkLadder\Core\Item\FieldRule;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\PlainText;
use ChalkLadder\Core\Item\Renaming;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Showing;

/**
 * One or several options. Credit is all or nothing, or *per option*: (hits − false picks) / keys, floor 0.
 */
final readonly class ChoiceRule extends PlainRule implements FieldRule
{
    /** @param list<Option> $options */
    public function __construct(
        public array $options,
        public bool $several = false,
        public bool $perOption = false,
        public bool $keepLast = false,
    ) {
    }

    public static function read(Node $node): self
    {
        $ids = [];
        $options = [];
        foreach ($node->children('options', 12) as $option) {
            $id = $option->text('id', 12);
            if (preg_match('/^[a-z0-9]{1,12}$/D', $id) !== 1 || isset($ids[$id])) {
                $option->fault('id', 'Each option needs an id of its own: 1 to 12 letters a–z or digits.');
            }
            $ids[$id] = true;
            $options[] = new Option(
                $id,
                $option->text('text', 2000),
                $option->bool('key', false),
                $option->text('feedback', Said::LONGEST, ''),
                $option->textOrNull('misconception', 36),
                $option->has('credit') ? $option->rational('credit', '0', '1') : null,
            );
            $option->rejectUnknown();
        }

        return new self($options, $node->bool('several', false), $node->bool('perOption', false), $node->bool('keepLast', false));
    }

    public function type(): ItemType
    {
        return ItemType::Choice;
    }

    public function check(Response $response): Outcome
    {
        $picked = $this->picked($response);
        if ($picked === []) {
            return Outcome::nothing();
        }
        $keys = $this->keys();
        $hits = count(array_filter($picked, static fn (Option $o): bool => $o->key));
        $false = count($picked) - $hits;
        $credit = match (true) {
            $this->hasCredits() => $this->ownCredit($picked),
            $keys === [] => BigRational::zero(),
            // A student who ticks two where one is asked for has not chosen.
            !$this->several && count($picked) > 1 => BigRational::zero(),
            // Where one is asked for and two are keyed, either of them is right.
            !$this->several => BigRational::of($hits),
            $this->perOption => BigRational::nd(max(0, $hits - $false), count($keys)),
            default => BigRational::of($false === 0 && $hits === count($keys) ? 1 : 0),
        };
        $wrong = array_values(array_filter($picked, static fn (Option $o): bool => !$o->key));
        $speaking = $wrong !== [] ? $wrong : $picked;

        return Outcome::of(
            $credit,
            implode('+', array_map(static fn (Option $o): string => $o->id, $picked)),
            implode(' + ', array_map(fn (Option $o): string => $this->letter($o->id), $picked)),
            Said::together(array_map(static fn (Option $o): string => $o->feedback, $speaking)),
            array_values(array_unique(array_filter(
                array_map(static fn (Option $o): ?string => $o->misconception, $wrong),
                is_string(...),
            ))),
        );
    }

    public function credits(): ?array
    {
        $keys = count($this->keys());
        if ($this->hasCredits()) {
            return $this->several ? null : [
                BigRational::zero(),
                ...array_map(static fn (Option $o): BigRational => $o->credit ?? BigRational::of($o->key ? 1 : 0), $this->options),
            ];
        }
        $steps = $this->several && $this->perOption ? max(1, $keys) : 1;

        return $keys === 0 ? [BigRational::zero()] : array_map(
            static fn (int $hits): BigRational => BigRational::nd($hits, $steps),
            range(0, $steps),
        );
    }

    private function hasCredits(): bool
    {
        return array_filter($this->options, static fn (Option $o): bool => $o->credit !== null) !== [];
    }

    /**
     * The sum of what the picked options are worth, at most 1.
     *
     * @param non-empty-list<Option> $picked
     */
    private function ownCredit(array $picked): BigRational
    {
        if (!$this->several && count($picked) > 1) {
            return BigRational::zero();
        }
        $sum = array_reduce(
            $picked,
            static fn (BigRational $s, Option $o): BigRational => $s->plus($o->credit ?? BigRational::of($o->key ? 1 : 0)),
            BigRational::zero(),
        );

        return $sum->isGreaterThan(1) ? BigRational::one() : $sum;
    }

    /** A, B, C … by the written order, which is also how results speak of an option. */
    private function letter(string $optionId): string
    {
        foreach ($this->options as $i => $option) {
            if ($option->id === $optionId) {
                return chr(ord('A') + $i % 26);
            }
        }

        return '?';
    }

    /** @return list<Option> */
    private function keys(): array
    {
        return array_values(array_filter($this->options, static fn (Option $o): bool => $o->key));
    }

    /** @return list<Option> in the written order */
    private function picked(Response $response): array
    {
        $ids = $response instanceof ChoiceResponse ? $response->options : [];

        return array_values(array_filter($this->options, static fn (Option $o): bool => in_array($o->id, $ids, true)));
    }

    public function fromField(string $text): ChoiceResponse
    {
        return ChoiceResponse::of(...($text === '' ? [] : [$text]));
    }

    public function intoField(Response $response): string
    {
        return $response instanceof ChoiceResponse ? $response->options[0] ?? '' : '';
    }

    public function face(Showing $showing): array
    {
        // Where several are right, leaving one out would tell of the others.
        $shown = $this->several ? $this->options : $showing->thinned($this->options, static fn (Option $o): bool => $o->key);

        return [
            'options' => array_map(
                static fn (Option $o): array => ['id' => $showing->name($o->id), 'text' => $o->text],
                $this->among($shown)->arranged(
                    static fn (array $options): array => $showing->arranged($options, 'options'),
                ),
            ),
            'several' => $this->several,
        ];
    }

    /** @param list<Option> $options */
    private function among(array $options): self
    {
        $keepsLast = $this->keepLast && in_array($this->options[count($this->options) - 1] ?? null, $options, true);

        return new self($options, $this->several, $this->perOption, $keepsLast);
    }

    public function version(string $seed): self
    {
        $options = $this->arranged(static fn (array $options): array => Draw::order($options, $seed, 'options'));

        return new self($options, $this->several, $this->perOption, $this->keepLast);
    }

    /**
     * In another order, the last in its place where it is to stay there.
     *
     * @param \Closure(list<Option>): list<Option> $order
     *
     * @return list<Option>
     */
    private function arranged(\Closure $order): array
    {
        $options = $this->options;
        $last = $this->keepLast ? array_splice($options, -1) : [];

        return [...$order($options), ...$last];
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        return $response instanceof ChoiceResponse
            ? ChoiceResponse::of(...$names->all($response->options, array_map(static fn (Option $o): string => $o->id, $this->options)))
            : $response;
    }

    public function inWords(Response $response): string
    {
        return implode(', ', array_map(
            fn (Option $o): string => $this->letter($o->id).' '.PlainText::of($o->text),
            $this->picked($response),
        ));
    }

    public function key(): string
    {
        return implode('', array_map(static fn (Option $o): string => $o->text, $this->keys()));
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        if (!$credit->isEqualTo(1)) {
            throw new NotAcceptable('credit', 'An option is a key or it is not; part credit cannot be given to one.');
        }
        $picked = $this->picked($response);

        return new self(
            array_map(
                static fn (Option $o): Option => in_array($o, $picked, true) ? new Option($o->id, $o->text, true) : $o,
                $this->options,
            ),
            $this->several,
            $this->perOption,
            $this->keepLast,
        );
    }

    public function inputs(Response $response): array
    {
        $options = $response instanceof ChoiceResponse ? $response->options : [];

        return ['text' => '', 'answer' => count($options) === 1 ? $options[0] : ($options === [] ? '' : $options)];
    }

    public function guess(): float
    {
        return $this->several ? self::GUESS : 1 / max(2, count($this->options));
    }

    public function alternatives(): array
    {
        return array_map(
            fn (Option $o): Alternative => new Alternative($o->id, $this->letter($o->id), $o->text, $o->key, $o->misconception),
            $this->options,
        );
    }

    public function texts(): array
    {
        return array_map(static fn (Option $o): string => $o->text, $this->options);
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (Option $o): ?string => $o->key ? null : $o->misconception, $this->options),
            is_string(...),
        )));
    }

    public function toArray(): array
    {
        return [
            'options' => array_map(static fn (Option $o): array => $o->toArray(), $this->options),
            'several' => $this->several,
            'perOption' => $this->perOption,
            'keepLast' => $this->keepLast,
        ];
    }

    public function defects(): array
    {
        $defects = [];
        if (count($this->options) < 2) {
            $defects[] = Defect::blocking('A choice needs at least two options.');
        }
        if ($this->keys() === []) {
            $defects[] = Defect::keyless('No option is the key.');
        } elseif (count($this->keys()) === count($this->options)) {
            $defects[] = Defect::blocking('Every option is a key, so nobody can be wrong.');
        } elseif (!$this->several && count($this->keys()) > 1) {
            $defects[] = Defect::advice('Two options are keys and one may be picked: either is right.');
        }
        $seen = [];
        foreach ($this->options as $option) {
            $text = $option->folded();
            if ($text === '' && !str_contains($option->text, '<')) {
                $defects[] = Defect::blocking(sprintf('Option %s is empty.', $this->letter($option->id)));
            } elseif (isset($seen[$text])) {
                $defects[] = Defect::blocking(sprintf('Options %s and %s say the same.', $seen[$text], $this->letter($option->id)));
            }
            $seen[$text] ??= $this->letter($option->id);
        }

        return $defects;
    }
}
