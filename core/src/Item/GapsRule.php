<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/**
 * Several inputs inside a passage, each with a rule of its own: text, number, expression, or a choice whose option id
 * stands in the gap. Credit is the mean over the gaps, weighed.
 */
final readonly class GapsRule implements Rule
{
    /** @param list<array{id: string, weight: int, rule: Rule}> $gaps */
    public function __construct(public array $gaps)
    {
    }

    /** @param \Closure(ItemType, Node): Rule $ruleOf */
    public static function read(Node $node, \Closure $ruleOf): self
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
            $gaps[] = ['id' => $id, 'weight' => $gap->int('weight', 1, 100, 1), 'rule' => $ruleOf($type, $gap->child('rule'))];
            $gap->rejectUnknown();
        }

        return new self($gaps);
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
            $text = $response->gaps[$gap['id']] ?? '';
            $outcome = $gap['rule']->check($gap['rule']->type() === ItemType::Choice
                ? Response::ofOptions(...($text === '' ? [] : [$text]))
                : Response::ofText($text));
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
            implode(' ', array_filter($feedback, static fn (string $f): bool => $f !== '')),
            array_values(array_unique($ideas)),
        );
    }

    public function waitsForMarker(): bool
    {
        return false;
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
        return ['gaps' => array_map(
            static fn (array $g): array => [
                'id' => $g['id'],
                'type' => $g['rule']->type()->value,
                'weight' => $g['weight'],
                'rule' => $g['rule']->toArray(),
            ],
            $this->gaps,
        )];
    }

    public function defects(): array
    {
        $defects = $this->gaps === [] ? [Defect::blocking('There is no gap.')] : [];
        foreach ($this->gaps as $gap) {
            foreach ($gap['rule']->defects() as $defect) {
                $defects[] = new Defect(sprintf('Gap %s: %s', $gap['id'], $defect->message), $defect->blocks);
            }
        }

        return $defects;
    }
}
