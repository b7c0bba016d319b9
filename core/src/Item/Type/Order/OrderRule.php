<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Order;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\AnswerPart;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Line;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Renaming;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Thing;

/**
 * Things in order; the written order is the key. Credit is *exact* (all or nothing), *pairs* (the share of neighbours
 * that follow each other as they should) or *sequence* (the longest part that stands in the right order, as a share;
 * Wagner & Fischer 1974 for the subsequence). Wrong orders worth knowing carry a line each.
 */
final readonly class OrderRule extends PlainRule
{
    /**
     * @param list<Thing>                                      $things in the right order
     * @param 'exact'|'pairs'|'sequence'                       $mode
     * @param list<array{order: list<string>, line: Line}>     $lines
     */
    public function __construct(public array $things, public string $mode = 'exact', public array $lines = [])
    {
    }

    public static function read(Node $node): self
    {
        $things = Thing::readAll($node, 'things', 30);
        $lines = [];
        foreach ($node->children('lines', 30) as $line) {
            $lines[] = ['order' => $line->texts('order', 30, 12), 'line' => Line::read($line, '0')];
            $line->rejectUnknown();
        }

        return new self($things, match ($node->oneOf('mode', ['exact', 'pairs', 'sequence'], 'exact')) {
            'pairs' => 'pairs', 'sequence' => 'sequence', default => 'exact',
        }, $lines);
    }

    public function type(): ItemType
    {
        return ItemType::Order;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $key = Thing::ids($this->things);
        $given = array_values(array_unique(array_filter(self::in($response), static fn (string $id): bool => in_array($id, $key, true))));
        $readAs = implode(' ', $given);
        foreach ($this->lines as $i => $line) {
            if ($line['order'] === $given) {
                return $line['line']->outcome('line '.($i + 1), $readAs);
            }
        }

        return Outcome::of($this->credit($key, $given), '', $readAs);
    }

    /**
     * @param list<string> $key
     * @param list<string> $given
     */
    private function credit(array $key, array $given): BigRational
    {
        $n = count($key);
        if ($given === $key) {
            return BigRational::one();
        }

        return match (true) {
            $this->mode === 'exact' || $n < 2 => BigRational::zero(),
            $this->mode === 'pairs' => BigRational::nd(self::neighbours($key, $given), $n - 1),
            // One thing alone is always in order, so it earns nothing.
            default => BigRational::nd(max(0, self::longest($key, $given) - 1), $n - 1),
        };
    }

    /**
     * @param list<string> $key
     * @param list<string> $given
     */
    private static function neighbours(array $key, array $given): int
    {
        $follows = [];
        foreach (array_slice($key, 0, -1) as $i => $id) {
            $follows[$id] = $key[$i + 1];
        }
        $right = 0;
        foreach (array_slice($given, 0, -1) as $i => $id) {
            $right += ($follows[$id] ?? null) === $given[$i + 1] ? 1 : 0;
        }

        return $right;
    }

    /**
     * @param list<string> $key
     * @param list<string> $given
     */
    private static function longest(array $key, array $given): int
    {
        $row = array_fill(0, count($key) + 1, 0);
        foreach ($given as $id) {
            $old = $row;
            foreach ($key as $j => $one) {
                $row[$j + 1] = $one === $id ? $old[$j] + 1 : max($row[$j], $old[$j + 1]);
            }
        }

        return $row[count($key)];
    }

    /** @return list<string> ids */
    private static function in(Response $response): array
    {
        return $response instanceof OrderResponse ? $response->order : [];
    }

    /** This order is a line of its own, tried before the others. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        $key = Thing::ids($this->things);
        $given = array_values(array_intersect(self::in($response), $key));
        if (count(array_unique($given)) !== count($key)) {
            throw new NotAcceptable('accept', 'Only an order of all the things can be accepted.');
        }
        $others = array_values(array_filter($this->lines, static fn (array $l): bool => $l['order'] !== $given));

        return new self($this->things, $this->mode, [['order' => $given, 'line' => new Line($credit, $feedback)], ...$others]);
    }

    public function face(Showing $showing): array
    {
        return ['things' => $showing->things($this->things, 'things')];
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        return $response instanceof OrderResponse
            ? new OrderResponse($names->all($response->order, Thing::ids($this->things)))
            : $response;
    }

    public function inWords(Response $response): string
    {
        return implode(' → ', array_map(fn (string $id): string => Thing::named($this->things, $id), self::in($response)));
    }

    /** By what the things are, since pictures say nothing in words. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return implode("\n", self::in($response));
    }

    public function key(): string
    {
        return implode(' → ', array_map(static fn (Thing $t): string => $t->inLine(), $this->things));
    }

    public function inputs(Response $response): array
    {
        return ['text' => '', 'answer' => self::in($response)];
    }

    /** Each two that follow each other in the key: which of them was put first. */
    public function parts(Response $response): array
    {
        $key = Thing::ids($this->things);
        $at = array_flip(self::in($response));
        $parts = [];
        foreach (array_slice($key, 0, -1) as $i => $first) {
            $then = $key[$i + 1];
            if (isset($at[$first], $at[$then])) {
                $right = $at[$first] < $at[$then];
                $said = fn (string $a, string $b): string => Thing::named($this->things, $a).' → '.Thing::named($this->things, $b);
                $parts[] = new AnswerPart(
                    sprintf('places %d and %d', $i + 1, $i + 2),
                    $right ? $said($first, $then) : $said($then, $first),
                    $said($first, $then),
                    $right,
                    $right ? 'as asked' : 'the other way',
                );
            }
        }

        return $parts;
    }

    /** One order of all; beyond what matters, nil. */
    public function guess(): float
    {
        return 1 / array_product(range(1, max(1, count($this->things))));
    }

    public function texts(): array
    {
        return array_map(static fn (Thing $t): string => $t->text, $this->things);
    }

    public function misconceptions(): array
    {
        return Line::misconceptionsOf(array_column($this->lines, 'line'));
    }

    public function toArray(): array
    {
        return [
            'things' => Thing::write($this->things),
            'mode' => $this->mode,
            'lines' => array_map(static fn (array $l): array => ['order' => $l['order']] + $l['line']->toArray(), $this->lines),
        ];
    }

    public function defects(): array
    {
        $defects = count($this->things) < 2 ? [Defect::blocking('An order needs at least two things.')] : [];
        foreach ($this->lines as $i => $line) {
            if (count(array_intersect($line['order'], Thing::ids($this->things))) !== count($this->things)) {
                $defects[] = Defect::advice(sprintf('Line %d does not put all the things in order, so it never holds.', $i + 1));
            }
        }

        return $defects;
    }
}
