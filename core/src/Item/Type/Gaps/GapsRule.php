<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Gaps;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\AnswerPart;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\FieldRule;
use ChalkLadder\Core\Item\FieldRules;
use ChalkLadder\Core\Item\Inputs;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Renaming;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Showing;

/**
 * Several inputs inside a passage, each with a rule of its own: text, number, expression, or a choice whose option id
 * stands in the gap. Credit is the mean over the gaps, weighed.
 */
final readonly class GapsRule extends PlainRule
{
    private const LONGEST = 6000;
    private const MOST_FURTHER = 20;
    private const LONGEST_WORD = 120;

    /**
     * @param list<array{id: string, weight: int, rule: FieldRule}> $gaps
     * @param string                                                $passage plain text with each gap's id in brackets, such as `[g1]`;
     *                                                                       empty where the gaps stand one below the other
     * @param list<string>|null                                     $bank    what stands in a bank beside the right words, to be dragged
     *                                                                       into the gaps for words; null where they are typed
     */
    public function __construct(public array $gaps, public string $passage = '', public ?array $bank = null)
    {
    }

    public static function read(Node $node): self
    {
        $gaps = [];
        $seen = [];
        foreach ($node->children('gaps', 60) as $gap) {
            $id = $gap->text('id', 12);
            if (preg_match('/^[a-z0-9]{1,12}$/D', $id) !== 1 || isset($seen[$id])) {
                $gap->fault('id', 'Each gap needs an id of its own: 1 to 12 letters a–z or digits.');
            }
            $seen[$id] = true;
            $type = ItemType::from($gap->oneOf('type', ['text', 'number', 'expression', 'choice']));
            $rule = ItemReader::rule($type, $gap->child('rule'));
            if ($rule instanceof FieldRule) {
                $gaps[] = ['id' => $id, 'weight' => $gap->int('weight', 1, 100, 1), 'rule' => $rule];
            }
            $gap->rejectUnknown();
        }

        return new self(
            $gaps,
            $node->text('passage', self::LONGEST, ''),
            $node->has('bank') ? array_values($node->texts('bank', self::MOST_FURTHER, self::LONGEST_WORD)) : null,
        );
    }

    public function type(): ItemType
    {
        return ItemType::Gaps;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $sum = BigRational::zero();
        $weights = 0;
        $lines = $readAs = $feedback = $ideas = [];
        foreach ($this->gaps as $gap) {
            $outcome = $gap['rule']->check($gap['rule']->fromField(self::in($response)[$gap['id']] ?? ''));
            $sum = $sum->plus(($outcome->credit ?? BigRational::zero())->multipliedBy($gap['weight']));
            $weights += $gap['weight'];
            $lines[] = $gap['id'].' '.$outcome->verdict->value.($outcome->line === '' ? '' : ' ('.$outcome->line.')');
            $readAs[] = $outcome->readAs === '' ? '–' : $outcome->readAs;
            $feedback[] = $outcome->feedback;
            array_push($ideas, ...$outcome->misconceptions);
        }

        return Outcome::of(
            $weights === 0 ? BigRational::zero() : $sum->dividedBy($weights),
            implode(', ', $lines),
            implode(' | ', $readAs),
            Said::together($feedback),
            array_values(array_unique($ideas)),
        );
    }

    /** @return array<string, string> what stands in each gap */
    private static function in(Response $response): array
    {
        return $response instanceof GapsResponse ? $response->gaps : [];
    }

    public function face(Showing $showing): array
    {
        return ['passage' => $this->passage, 'gaps' => array_map(
            static fn (array $g): array => ['id' => $g['id'], 'type' => $g['rule']->type()->value]
                + $g['rule']->face($showing->within($g['id'])),
            $this->gaps,
        )] + ($this->bank === null ? [] : ['bank' => $showing->mixed([...$this->words(), ...$this->bank], 'bank')]);
    }

    /** @return list<string> what is right in each gap for words, as it stands in a bank */
    private function words(): array
    {
        return array_values(array_filter(array_map(
            static fn (array $g): string => $g['rule']->type()->definition()->isDragged()
                ? html_entity_decode($g['rule']->key(), ENT_QUOTES | ENT_HTML5)
                : '',
            $this->gaps,
        ), static fn (string $w): bool => $w !== ''));
    }

    /** In every gap whose answer earned less, what stands in it is accepted from now on. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        $given = self::in($response);

        return new self(array_map(
            static fn (array $g): array => ['rule' => FieldRules::accepting($g['rule'], $given[$g['id']] ?? '', $credit, $feedback)] + $g,
            $this->gaps,
        ), $this->passage, $this->bank);
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        $given = self::in($response);
        foreach ($this->gaps as ['id' => $id, 'rule' => $rule]) {
            if (isset($given[$id])) {
                $given[$id] = $rule->intoField($rule->renamed($rule->fromField($given[$id]), $names->within($id)));
            }
        }

        return $response instanceof GapsResponse ? new GapsResponse($given) : $response;
    }

    public function inWords(Response $response): string
    {
        $given = self::in($response);

        return implode(' · ', array_map(static function (array $g) use ($given): string {
            $words = $g['rule']->inWords($g['rule']->fromField($given[$g['id']] ?? ''));

            return $words === '' ? '–' : $words;
        }, $this->gaps));
    }

    public function key(): string
    {
        return implode(' · ', array_map(static fn (array $g): string => $g['rule']->key(), $this->gaps));
    }

    public function accepted(): array
    {
        return array_merge(...array_map(
            static fn (array $g): array => array_map(
                static fn (string $line): string => $g['id'].': '.$line,
                $g['rule']->accepted(),
            ),
            $this->gaps,
        ));
    }

    /** Each gap by its id. */
    public function inputs(Response $response): array
    {
        return ['text' => '', 'answer' => ''] + array_map(Inputs::value(...), self::in($response));
    }

    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return AnswerPart::together($this->parts($response));
    }

    /** Gap by gap, counted as they stand. */
    public function parts(Response $response): array
    {
        $given = self::in($response);

        return array_values(array_filter(array_map(
            static fn (array $g, int $i): ?AnswerPart => AnswerPart::ofField('gap '.($i + 1), $g['rule'], $given[$g['id']] ?? ''),
            $this->gaps,
            array_keys($this->gaps),
        )));
    }

    public function guess(): float
    {
        return array_product(array_map(static fn (array $g): float => $g['rule']->guess(), $this->gaps));
    }

    public function texts(): array
    {
        return array_merge(...array_map(static fn (array $g): array => $g['rule']->texts(), $this->gaps));
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_merge(...array_map(
            static fn (array $g): array => $g['rule']->misconceptions(),
            $this->gaps,
        ))));
    }

    public function toArray(): array
    {
        return ['passage' => $this->passage, 'gaps' => array_map(
            static fn (array $g): array => [
                'id' => $g['id'],
                'type' => $g['rule']->type()->value,
                'weight' => $g['weight'],
                'rule' => $g['rule']->toArray(),
            ],
            $this->gaps,
        )] + ($this->bank === null ? [] : ['bank' => $this->bank]);
    }

    public function defects(): array
    {
        $defects = $this->gaps === [] ? [Defect::blocking('There is no gap.')] : [];
        if ($this->bank !== null && count($this->words()) < 2) {
            $defects[] = Defect::advice('A bank wants at least two gaps for words.');
        }
        foreach ($this->gaps as $gap) {
            if ($this->passage !== '' && substr_count($this->passage, '['.$gap['id'].']') !== 1) {
                $defects[] = Defect::blocking(sprintf('Gap %s has to stand in the passage once.', $gap['id']));
            }
            foreach ($gap['rule']->defects() as $defect) {
                $defects[] = new Defect(sprintf('Gap %s: %s', $gap['id'], $defect->message), $defect->blocks);
            }
        }

        return $defects;
    }
}
