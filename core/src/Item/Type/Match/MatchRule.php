<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Match;

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
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Thing;

/**
 * Things matched with places: pairs, or things sorted into bins. A place without a thing is a distractor. With copies, a
 * thing may be used several times and counts as often as the key says (counting with pieces).
 *
 * Credit per pair: (pairs of the key that were made + what other pairs are worth by a line of their own − pairs without
 * worth beyond the number of the key) / pairs of the key, from 0 to 1; or all or nothing.
 */
final readonly class MatchRule extends PlainRule
{
    /**
     * @param list<Thing>                                             $things
     * @param list<Thing>                                             $places
     * @param list<array{string, string}>                             $key    thing, place; with copies a pair may stand several times
     * @param bool                                                    $copies a thing may be used more than once
     * @param list<array{thing: string, place: string, line: Line}>   $lines  pairs beside the key worth knowing,
     *                                                                       mostly wrong ones
     */
    public function __construct(
        public array $things,
        public array $places,
        public array $key,
        public bool $each = true,
        public bool $copies = false,
        public array $lines = [],
    ) {
    }

    public static function read(Node $node): self
    {
        $things = Thing::readAll($node, 'things', 40);
        $places = Thing::readAll($node, 'places', 40);
        $key = [];
        foreach ($node->children('key', 100) as $pair) {
            $key[] = [$pair->text('0', 12), $pair->text('1', 12)];
            if (!in_array($pair->text('0', 12), Thing::ids($things), true) || !in_array($pair->text('1', 12), Thing::ids($places), true)) {
                $pair->fault('', 'This pair names a thing or place that is not there.');
            }
            $pair->rejectUnknown();
        }
        $lines = [];
        foreach ($node->children('lines', 60) as $line) {
            $lines[] = ['thing' => $line->text('thing', 12), 'place' => $line->text('place', 12), 'line' => Line::read($line, '0')];
            $line->rejectUnknown();
        }

        return new self($things, $places, $key, $node->bool('each', true), $node->bool('copies', false), $lines);
    }

    public function type(): ItemType
    {
        return ItemType::Match;
    }

    public function check(Response $response): Outcome
    {
        $given = $this->made(self::in($response));
        if ($given === []) {
            return Outcome::nothing();
        }
        $left = [];
        foreach ($this->key as $pair) {
            $left[self::name($pair)] = ($left[self::name($pair)] ?? 0) + 1;
        }
        $hits = $false = 0;
        $worth = BigRational::zero();
        $told = [];
        foreach ($given as $pair) {
            if (($left[self::name($pair)] ?? 0) > 0) {
                --$left[self::name($pair)];
                ++$hits;

                continue;
            }
            $line = $this->lineOf($pair);
            if ($line !== null) {
                $told[] = $line;
                $worth = $worth->plus($line->credit);
            }
            $false += $line?->credit->isPositive() === true ? 0 : 1;
        }
        $most = count($this->key);
        // A wrong pair that stands where a right one is missing costs that one; a surplus costs one more.
        $surplus = min($false, max(0, count($given) - $most));
        $sum = $worth->plus($hits)->minus($this->each ? $surplus : 0);
        $credit = match (true) {
            $most === 0 || $sum->isNegative() => BigRational::zero(),
            $this->each => BigRational::min(BigRational::one(), $sum->dividedBy($most)),
            default => BigRational::of($sum->isGreaterThanOrEqualTo($most) && $false === 0 ? 1 : 0),
        };

        return Outcome::of(
            $credit,
            sprintf('%d of %d', $hits, $most),
            implode(', ', array_map(static fn (array $p): string => $p[0].'–'.$p[1], $given)),
            Said::together(array_map(static fn (Line $l): string => $l->feedback, $told)),
            Line::misconceptionsOf($told),
        );
    }

    /** @param array{string, string} $pair */
    private function lineOf(array $pair): ?Line
    {
        foreach ($this->lines as $line) {
            if ($line['thing'] === $pair[0] && $line['place'] === $pair[1]) {
                return $line['line'];
            }
        }

        return null;
    }

    /** Each pair that earned less is a line of its own from now on. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        if (!$this->each && !$credit->isEqualTo(1)) {
            throw new NotAcceptable('credit', 'All or nothing is given here, so part credit cannot be.');
        }
        $taken = [];
        foreach ($this->made(self::in($response)) as $pair) {
            if (!in_array($pair, $this->key, true) && ($this->lineOf($pair)->credit ?? BigRational::zero())->isLessThan($credit)) {
                $taken[self::name($pair)] = ['thing' => $pair[0], 'place' => $pair[1], 'line' => new Line($credit, $feedback)];
            }
        }
        if ($taken === []) {
            throw new NotAcceptable('accept', 'None of these pairs is worth less than that.');
        }
        $others = array_filter($this->lines, static fn (array $l): bool => !isset($taken[self::name([$l['thing'], $l['place']])]));

        return new self(
            $this->things,
            $this->places,
            $this->key,
            $this->each,
            $this->copies,
            [...array_values($taken), ...array_values($others)],
        );
    }

    /**
     * Pairs that the rule knows, in the order of things and places, however they were made; without copies the last place of a thing
     * holds.
     *
     * @param list<array{string, string}> $pairs
     *
     * @return list<array{string, string}>
     */
    private function made(array $pairs): array
    {
        $known = array_values(array_filter(
            $pairs,
            fn (array $p): bool => in_array($p[0], Thing::ids($this->things), true) && in_array($p[1], Thing::ids($this->places), true),
        ));
        if (!$this->copies) {
            $known = array_values(array_column($known, null, 0));
        }
        $thing = array_flip(Thing::ids($this->things));
        $place = array_flip(Thing::ids($this->places));
        usort($known, static fn (array $a, array $b): int => [$thing[$a[0]], $place[$a[1]]] <=> [$thing[$b[0]], $place[$b[1]]]);

        return $known;
    }

    /** @param array{string, string} $pair */
    private static function name(array $pair): string
    {
        return $pair[0].'→'.$pair[1];
    }

    /** @return list<array{string, string}> */
    private static function in(Response $response): array
    {
        return $response instanceof MatchResponse ? $response->pairs : [];
    }

    public function face(Showing $showing): array
    {
        return [
            'things' => $showing->within('thing')->things($this->things, 'things'),
            'places' => $showing->within('place')->things($this->places, 'places'),
            'copies' => $this->copies,
        ];
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        if (!$response instanceof MatchResponse) {
            return $response;
        }
        $pairs = [];
        foreach ($response->pairs as [$thing, $place]) {
            $thing = $names->within('thing')->of($thing, Thing::ids($this->things));
            $place = $names->within('place')->of($place, Thing::ids($this->places));
            if ($thing !== null && $place !== null) {
                $pairs[] = [$thing, $place];
            }
        }

        return new MatchResponse($pairs);
    }

    public function inWords(Response $response): string
    {
        return implode('; ', array_map($this->pairInWords(...), $this->made(self::in($response))));
    }

    /** By what the things are, since pictures say nothing in words. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return implode("\n", array_map(self::name(...), $this->made(self::in($response))));
    }

    public function key(): string
    {
        return htmlspecialchars(implode('; ', array_map($this->pairInWords(...), $this->key)));
    }

    public function accepted(): array
    {
        $more = array_filter($this->lines, static fn (array $l): bool => $l['line']->credit->isPositive());

        return array_values(array_map(
            fn (array $l): string => $this->pairInWords([$l['thing'], $l['place']]).' for credit '.$l['line']->credit->simplified(),
            $more,
        ));
    }

    /** Thing by thing: where it was put. Where a thing may be used several times, there is nothing to compare place by place. */
    public function parts(Response $response): array
    {
        $places = array_column($this->key, 1, 0);

        return $this->copies ? [] : array_map(fn (array $pair): AnswerPart => new AnswerPart(
            Thing::named($this->things, $pair[0]),
            Thing::named($this->places, $pair[1]),
            isset($places[$pair[0]]) ? Thing::named($this->places, $places[$pair[0]]) : 'nowhere',
            in_array($pair, $this->key, true),
            $pair[1],
        ), $this->made(self::in($response)));
    }

    /** @param array{string, string} $pair */
    private function pairInWords(array $pair): string
    {
        return Thing::named($this->things, $pair[0]).' – '.Thing::named($this->places, $pair[1]);
    }

    public function texts(): array
    {
        return array_map(static fn (Thing $t): string => $t->text, [...$this->things, ...$this->places]);
    }

    public function misconceptions(): array
    {
        return Line::misconceptionsOf(array_column($this->lines, 'line'));
    }

    public function toArray(): array
    {
        return [
            'things' => Thing::write($this->things), 'places' => Thing::write($this->places), 'key' => $this->key,
            'each' => $this->each, 'copies' => $this->copies,
            'lines' => array_map(
                static fn (array $l): array => ['thing' => $l['thing'], 'place' => $l['place']] + $l['line']->toArray(),
                $this->lines,
            ),
        ];
    }

    public function defects(): array
    {
        $defects = [];
        if ($this->things === [] || $this->places === []) {
            $defects[] = Defect::blocking('A match needs things and places.');
        }
        if ($this->key === []) {
            $defects[] = Defect::blocking('No pair is right, so there is no key.');
        }
        $used = array_column($this->key, 0);
        if (!$this->copies && count($used) !== count(array_unique($used))) {
            $defects[] = Defect::blocking('A thing has two right places, but may be used once.');
        }

        return $defects;
    }
}
