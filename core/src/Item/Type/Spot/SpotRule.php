<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Line;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Renaming;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\Marks;
use ChalkLadder\Core\Item\Response\PointsResponse;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Thing;

/**
 * Points, rings or labels on a picture. A mark finds the first region that holds it (a ring: its centre, with enough
 * overlap); each region is found once. Labels name the region they belong to.
 *
 * Credit: (sum of the credits of the regions found − marks that found nothing, or nothing new) / number asked for,
 * floor 0, at most 1. A distractor is a region without credit.
 */
final readonly class SpotRule extends PlainRule
{
    /**
     * @param 'points'|'rings'|'labels' $mode
     * @param list<Region>              $regions
     * @param list<Thing>               $labels
     * @param array<string, string>     $key     region by label
     * @param BigRational               $overlap the least intersection over union of a ring, 0…1
     */
    public function __construct(
        public string $mode,
        public array $regions,
        public int $asked,
        public array $labels,
        public array $key,
        public BigRational $overlap,
    ) {
    }

    public static function read(Node $node): self
    {
        $mode = match ($node->oneOf('mode', ['points', 'rings', 'labels'], 'points')) {
            'rings' => 'rings', 'labels' => 'labels', default => 'points',
        };
        $regions = array_map(Region::read(...), $node->children('regions', 60));
        $labels = Thing::readAll($node, 'labels', 40);
        $key = $node->textMap('key', 40, 12);
        $ids = array_map(static fn (Region $r): string => $r->id, $regions);
        foreach ($key as $label => $region) {
            if (!in_array($region, $ids, true) || !in_array((string) $label, Thing::ids($labels), true)) {
                $node->fault('key.'.$label, 'This names a label or region that is not there.');
            }
        }
        $full = count(array_filter($regions, static fn (Region $r): bool => $r->line->credit->isEqualTo(1)));

        return new self(
            $mode,
            $regions,
            $node->int('asked', 1, 60, max(1, $mode === 'labels' ? count($key) : $full)),
            $labels,
            $key,
            $node->rational('overlap', '0', '1', '1/3'),
        );
    }

    public function type(): ItemType
    {
        return ItemType::Spot;
    }

    public function check(Response $response): Outcome
    {
        return match ($this->mode) {
            'labels' => $this->labelled($response instanceof LabelsResponse ? $response->labels : []),
            'rings' => $this->found($response instanceof RingsResponse ? $response->rings : []),
            'points' => $this->found($response instanceof PointsResponse ? $response->points : []),
        };
    }

    /** @param list<list<BigRational>> $marks */
    private function found(array $marks): Outcome
    {
        if ($marks === []) {
            return Outcome::nothing();
        }
        $found = [];
        $sum = BigRational::zero();
        $false = 0;
        foreach ($marks as $mark) {
            $region = $this->regionOf($mark);
            if ($region === null || isset($found[$region->id]) || $region->line->credit->isZero()) {
                ++$false;
            } else {
                $sum = $sum->plus($region->line->credit);
            }
            if ($region !== null) {
                $found[$region->id] = $region;
            }
        }
        $credit = $sum->minus($false)->dividedBy($this->asked);
        $lines = array_map(static fn (Region $r): Line => $r->line, array_values($found));

        return $this->told(
            $credit,
            implode('+', array_map(strval(...), array_keys($found))),
            sprintf('%d %s, %d found', count($marks), $this->mode, count($found)),
            $lines,
        );
    }

    /** @param array<string, list<BigRational>> $labels */
    private function labelled(array $labels): Outcome
    {
        $placed = array_filter($labels, fn (string|int $id): bool => isset($this->key[$id]), ARRAY_FILTER_USE_KEY);
        if ($labels === []) {
            return Outcome::nothing();
        }
        $sum = BigRational::zero();
        $lines = [];
        $names = [];
        foreach ($placed as $id => $mark) {
            $region = $this->regionOf($mark);
            $names[] = $id.':'.($region->id ?? '–');
            if ($region !== null && $region->id === $this->key[$id]) {
                $sum = $sum->plus($region->line->credit);
            } elseif ($region !== null) {
                $lines[] = $region->line;
            }
        }

        return $this->told(
            $sum->dividedBy(max(1, count($this->key))),
            implode('+', $names),
            sprintf('%d labels placed', count($labels)),
            $lines,
        );
    }

    /** @param list<Line> $lines */
    private function told(BigRational $credit, string $line, string $readAs, array $lines): Outcome
    {
        $credit = $credit->isNegative() ? BigRational::zero() : ($credit->isGreaterThan(1) ? BigRational::one() : $credit);
        $feedback = implode(
            ' ',
            array_unique(array_filter(
                array_map(static fn (Line $l): string => $l->feedback, $lines),
                static fn (string $f): bool => $f !== '',
            )),
        );

        return Outcome::of($credit, $line, $readAs, $feedback, Line::misconceptionsOf($lines));
    }

    /** @param list<BigRational> $mark a point, or a ring's centre with its half-axes */
    private function regionOf(array $mark): ?Region
    {
        foreach ($this->regions as $region) {
            if ($region->holds($mark[0], $mark[1]) && (count($mark) < 4 || $region->overlap($mark) >= $this->overlap->toFloat())) {
                return $region;
            }
        }

        return null;
    }

    public function face(Showing $showing): array
    {
        return [
            'mode' => $this->mode,
            'asked' => $this->asked,
            'labels' => $showing->things($this->labels, 'labels'),
        ];
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        if (!$response instanceof LabelsResponse) {
            return $response;
        }
        $labels = [];
        foreach ($response->labels as $id => $mark) {
            $name = $names->of((string) $id, Thing::ids($this->labels));
            if ($name !== null) {
                $labels[$name] = $mark;
            }
        }

        return new LabelsResponse($labels);
    }

    public function inWords(Response $response): string
    {
        $words = [];
        foreach ($response instanceof LabelsResponse ? $response->labels : [] as $id => $mark) {
            $words[] = Thing::named($this->labels, (string) $id).' at '.Marks::place($mark);
        }

        return implode(', ', [...$words, ...array_map(Marks::place(...), match (true) {
            $response instanceof PointsResponse => $response->points,
            $response instanceof RingsResponse => $response->rings,
            default => [],
        })]);
    }

    public function texts(): array
    {
        return array_map(static fn (Thing $t): string => $t->text, $this->labels);
    }

    public function misconceptions(): array
    {
        return Line::misconceptionsOf(array_map(static fn (Region $r): Line => $r->line, $this->regions));
    }

    public function toArray(): array
    {
        return [
            'mode' => $this->mode,
            'regions' => array_map(static fn (Region $r): array => $r->toArray(), $this->regions),
            'asked' => $this->asked,
            'labels' => Thing::write($this->labels),
            'key' => $this->key,
            'overlap' => (string) $this->overlap,
        ];
    }

    public function defects(): array
    {
        $right = array_filter($this->regions, static fn (Region $r): bool => $r->line->credit->isGreaterThan(0));
        if ($right === [] || ($this->mode === 'labels' && $this->key === [])) {
            return [Defect::blocking('No region is right, so there is no key.')];
        }

        return $this->mode !== 'labels' && $this->asked > count($right) ? [Defect::blocking(sprintf(
            '%d marks are asked for, but only %d regions are right.',
            $this->asked,
            count($right),
        ))] : [];
    }
}
