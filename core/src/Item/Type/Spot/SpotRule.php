<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\AnswerPart;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Line;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Picture;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Renaming;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\Marks;
use ChalkLadder\Core\Item\Response\PointsResponse;
use ChalkLadder\Core\Item\Said;
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
    private const NOWHERE = 'nothing named';

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
        public ?Picture $picture = null,
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
            Picture::readOrNull($node, 'picture'),
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
        $found = $read = [];
        $sum = BigRational::zero();
        $false = 0;
        foreach ($marks as $mark) {
            $region = $this->regionOf($mark);
            $read[] = $region === null ? self::NOWHERE : $region->called();
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
            implode(', ', $read),
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
        $lines = $names = $read = [];
        foreach ($placed as $id => $mark) {
            $region = $this->regionOf($mark);
            $names[] = $id.':'.($region->id ?? '–');
            $read[] = Thing::named($this->labels, (string) $id).' – '.($region?->called() ?? self::NOWHERE);
            if ($region !== null && $region->id === $this->key[$id]) {
                $sum = $sum->plus($region->line->credit);
            } elseif ($region !== null) {
                $lines[] = $region->line;
            }
        }

        return $this->told(
            $sum->dividedBy(max(1, count($this->key))),
            implode('+', $names),
            implode(', ', $read),
            $lines,
        );
    }

    /** @param list<Line> $lines */
    private function told(BigRational $credit, string $line, string $readAs, array $lines): Outcome
    {
        $credit = $credit->isNegative() ? BigRational::zero() : ($credit->isGreaterThan(1) ? BigRational::one() : $credit);
        $feedback = Said::together(array_map(static fn (Line $l): string => $l->feedback, $lines));

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
            'picture' => $this->picture?->toArray(),
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
            $words[] = Thing::named($this->labels, (string) $id).' at '.$this->placeOf($mark);
        }

        return implode(', ', [...$words, ...array_map($this->placeOf(...), match (true) {
            $response instanceof PointsResponse => $response->points,
            $response instanceof RingsResponse => $response->rings,
            default => [],
        })]);
    }

    /** @param list<BigRational> $mark */
    private function placeOf(array $mark): string
    {
        $name = $this->regionOf($mark)->name ?? '';

        return $name === '' ? Marks::place($mark) : $name;
    }

    public function texts(): array
    {
        return array_map(static fn (Thing $t): string => $t->text, $this->labels);
    }

    public function files(): array
    {
        return $this->picture === null ? [] : [$this->picture->file];
    }

    public function key(): string
    {
        $named = array_column(array_map(static fn (Region $r): array => [$r->id, $r->called()], $this->regions), 1, 0);
        $right = $this->mode === 'labels'
            ? array_map(
                fn (string|int $label): string => Thing::named($this->labels, (string) $label).' – '.($named[$this->key[$label]] ?? '?'),
                array_keys($this->key),
            )
            : array_map(static fn (Region $r): string => $r->called(), $this->right());

        return htmlspecialchars(implode(', ', $right));
    }

    /**
     * Places that earned less: a region that was found is worth this from now on; where there is none, a small circle is
     * drawn round the mark.
     */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        if ($this->mode === 'labels') {
            throw new NotAcceptable('', 'Where a label belongs is changed in the question’s key.');
        }
        $regions = $this->regions;
        foreach (match (true) {
            $response instanceof PointsResponse => $response->points,
            $response instanceof RingsResponse => $response->rings,
            default => [],
        } as $mark) {
            $region = $this->regionOf($mark) ?? Region::round(self::freshId($regions), $mark, $this->reach());
            if ($region->line->credit->isLessThan($credit)) {
                $taking = $region->worth(new Line($credit, $feedback));
                $at = array_search($region->id, array_map(static fn (Region $r): string => $r->id, $regions), true);
                $regions = $at === false ? [...$regions, $taking] : array_values(array_replace($regions, [$at => $taking]));
            }
        }

        return new self($this->mode, $regions, $this->asked, $this->labels, $this->key, $this->overlap, $this->picture);
    }

    /** How far from a mark that is taken in others may point: a fortieth of the picture’s longer side. */
    private function reach(): BigRational
    {
        return BigRational::nd(max($this->picture->width ?? 0, $this->picture->height ?? 0, 40), 40)->simplified();
    }

    /** @param list<Region> $regions */
    private static function freshId(array $regions): string
    {
        $ids = array_map(static fn (Region $r): string => $r->id, $regions);
        $i = count($ids) + 1;
        while (in_array("r$i", $ids, true)) {
            ++$i;
        }

        return "r$i";
    }

    /** Label by label: where it was laid. */
    public function parts(Response $response): array
    {
        $named = array_column(array_map(static fn (Region $r): array => [$r->id, $r->called()], $this->regions), 1, 0);
        $parts = [];
        foreach ($response instanceof LabelsResponse ? $response->labels : [] as $id => $mark) {
            $region = $this->regionOf($mark);
            if (isset($this->key[$id])) {
                $parts[] = new AnswerPart(
                    Thing::named($this->labels, (string) $id),
                    $region?->called() ?? self::NOWHERE,
                    $named[$this->key[$id]] ?? '?',
                    $region?->id === $this->key[$id],
                    $region->id ?? '',
                );
            }
        }

        return $parts;
    }

    /** Two marks in the same places are alike, wherever in them they stand. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return $outcome->readAs;
    }

    /** Places that can be pointed at; labels are laid, not picked. */
    public function alternatives(): array
    {
        return $this->mode === 'labels' ? [] : array_map(
            static fn (Region $r, int $i): Alternative => new Alternative(
                $r->id,
                (string) ($i + 1),
                htmlspecialchars($r->called()),
                $r->line->credit->isEqualTo(1),
                $r->line->misconception,
            ),
            $this->regions,
            array_keys($this->regions),
        );
    }

    /** @return list<Region> */
    private function right(): array
    {
        return array_values(array_filter($this->regions, static fn (Region $r): bool => $r->line->credit->isPositive()));
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
            'picture' => $this->picture?->toArray(),
        ];
    }

    public function defects(): array
    {
        $defects = $this->picture === null ? [Defect::blocking('There is no picture to point at.')] : [];
        $right = count($this->right());
        if ($right === 0 || ($this->mode === 'labels' && $this->key === [])) {
            $defects[] = Defect::blocking('No region is right, so there is no key.');
        } elseif ($this->mode !== 'labels' && $this->asked > $right) {
            $defects[] = Defect::blocking(sprintf('%d marks are asked for, but only %d regions are right.', $this->asked, $right));
        }

        return $defects;
    }
}
