<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Line;

/**
 * A polygon or ellipse on a picture, with what it is worth to find it.
 *
 * Points on the edge count as inside. A polygon is decided exactly by the crossing number (Haines 1994, "Point in
 * polygon strategies"); the overlap with a ring by counting the cells of a 40 × 40 grid over both.
 */
final readonly class Region
{
    private const CELLS = 40;

    /**
     * @param list<list<BigRational>> $corners [x, y] of a polygon; empty for an ellipse
     * @param list<BigRational>       $ellipse cx, cy, rx, ry; empty for a polygon
     * @param string                  $name    what is there, for teachers and in the key
     */
    public function __construct(
        public string $id,
        public array $corners,
        public array $ellipse,
        public Line $line,
        public string $name = '',
    ) {
    }

    /**
     * A circle round a mark; around a ring, what it encircles. It is worth nothing yet.
     *
     * @param list<BigRational> $mark  a point, or a ring's centre with its half-axes
     * @param BigRational       $reach radius around a point, pixels
     */
    public static function round(string $id, array $mark, BigRational $reach): self
    {
        return new self($id, [], [$mark[0], $mark[1], $mark[2] ?? $reach, $mark[3] ?? $reach], new Line(BigRational::zero()), 'also here');
    }

    public function worth(Line $line): self
    {
        return new self($this->id, $this->corners, $this->ellipse, $line, $this->name);
    }

    /** As a person speaks of it. */
    public function called(): string
    {
        return $this->name === '' ? $this->id : $this->name;
    }

    public static function read(Node $node): self
    {
        $id = $node->text('id', 12);
        if (preg_match('/^[a-z0-9]{1,12}$/D', $id) !== 1) {
            $node->fault('id', 'Each region needs an id: 1 to 12 letters a–z or digits.');
        }
        $corners = $ellipse = [];
        if ($node->has('ellipse')) {
            $e = $node->child('ellipse');
            $ellipse = [
                $e->rational('0', '-100000', '100000'),
                $e->rational('1', '-100000', '100000'),
                $e->rational('2', '1/1000', '100000'),
                $e->rational('3', '1/1000', '100000'),
            ];
            $e->rejectUnknown();
        } else {
            foreach ($node->children('corners', 60) as $corner) {
                $corners[] = [$corner->rational('0', '-100000', '100000'), $corner->rational('1', '-100000', '100000')];
                $corner->rejectUnknown();
            }
            if (count($corners) < 3) {
                $node->fault('corners', 'A polygon needs at least three corners.');
            }
        }
        $region = new self($id, $corners, $ellipse, Line::read($node), $node->text('name', 80, ''));
        $node->rejectUnknown();

        return $region;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id] + ($this->name === '' ? [] : ['name' => $this->name]) + ($this->ellipse === []
            ? ['corners' => array_map(self::written(...), $this->corners)]
            : ['ellipse' => self::written($this->ellipse)]) + $this->line->toArray();
    }

    /**
     * @param list<BigRational> $numbers
     *
     * @return list<string>
     */
    private static function written(array $numbers): array
    {
        return array_map(static fn (BigRational $n): string => (string) $n, $numbers);
    }

    public function holds(BigRational $x, BigRational $y): bool
    {
        if ($this->ellipse !== []) {
            [$cx, $cy, $rx, $ry] = $this->ellipse;
            $dx = $x->minus($cx)->dividedBy($rx);
            $dy = $y->minus($cy)->dividedBy($ry);

            return $dx->multipliedBy($dx)->plus($dy->multipliedBy($dy))->isLessThanOrEqualTo(1);
        }
        $inside = false;
        $n = count($this->corners);
        for ($i = 0, $j = $n - 1; $i < $n; $j = $i++) {
            [$ax, $ay] = $this->corners[$i];
            [$bx, $by] = $this->corners[$j];
            $cross = $bx->minus($ax)->multipliedBy($y->minus($ay))->minus($by->minus($ay)->multipliedBy($x->minus($ax)));
            if ($cross->isZero() && self::between($x, $ax, $bx) && self::between($y, $ay, $by)) {
                return true;
            }
            if ($ay->isGreaterThan($y) !== $by->isGreaterThan($y)
                && $cross->isPositive() === $by->isGreaterThan($ay)
                && !$cross->isZero()) {
                $inside = !$inside;
            }
        }

        return $inside;
    }

    /**
     * Intersection over union with a ring, 0…1.
     *
     * @param list<BigRational> $ring cx, cy, rx, ry
     */
    public function overlap(array $ring): float
    {
        [$cx, $cy, $rx, $ry] = array_map(static fn (BigRational $n): float => $n->toFloat(), $ring);
        if ($rx <= 0.0 || $ry <= 0.0) {
            return 0.0;
        }
        [$left, $top, $right, $bottom] = $this->box();
        [$left, $top, $right, $bottom] = [min($left, $cx - $rx), min($top, $cy - $ry), max($right, $cx + $rx), max($bottom, $cy + $ry)];
        $both = $either = 0;
        $corners = array_map(static fn (array $c): array => [$c[0]->toFloat(), $c[1]->toFloat()], $this->corners);
        $ellipse = array_map(static fn (BigRational $n): float => $n->toFloat(), $this->ellipse);
        for ($i = 0; $i < self::CELLS; ++$i) {
            for ($j = 0; $j < self::CELLS; ++$j) {
                $x = $left + ($right - $left) * ($i + 0.5) / self::CELLS;
                $y = $top + ($bottom - $top) * ($j + 0.5) / self::CELLS;
                $in = self::holdsNear($corners, $ellipse, $x, $y);
                $ringed = (($x - $cx) / $rx) ** 2 + (($y - $cy) / $ry) ** 2 <= 1.0;
                $both += $in && $ringed ? 1 : 0;
                $either += $in || $ringed ? 1 : 0;
            }
        }

        return $either === 0 ? 0.0 : $both / $either;
    }

    /** @return array{float, float, float, float} */
    private function box(): array
    {
        if ($this->ellipse !== []) {
            [$cx, $cy, $rx, $ry] = array_map(static fn (BigRational $n): float => $n->toFloat(), $this->ellipse);

            return [$cx - $rx, $cy - $ry, $cx + $rx, $cy + $ry];
        }
        $xs = array_map(static fn (array $c): float => $c[0]->toFloat(), $this->corners);
        $ys = array_map(static fn (array $c): float => $c[1]->toFloat(), $this->corners);

        return $xs === [] || $ys === [] ? [0.0, 0.0, 0.0, 0.0] : [min($xs), min($ys), max($xs), max($ys)];
    }

    /**
     * @param list<array{float, float}> $corners
     * @param list<float>               $ellipse
     */
    private static function holdsNear(array $corners, array $ellipse, float $x, float $y): bool
    {
        if ($ellipse !== []) {
            return (($x - $ellipse[0]) / $ellipse[2]) ** 2 + (($y - $ellipse[1]) / $ellipse[3]) ** 2 <= 1.0;
        }
        $inside = false;
        $n = count($corners);
        for ($i = 0, $j = $n - 1; $i < $n; $j = $i++) {
            [$ax, $ay] = $corners[$i];
            [$bx, $by] = $corners[$j];
            if (($ay > $y) !== ($by > $y) && $x < ($bx - $ax) * ($y - $ay) / ($by - $ay) + $ax) {
                $inside = !$inside;
            }
        }

        return $inside;
    }

    private static function between(BigRational $v, BigRational $a, BigRational $b): bool
    {
        return $a->isLessThanOrEqualTo($b)
            ? $v->isGreaterThanOrEqualTo($a) && $v->isLessThanOrEqualTo($b)
            : $v->isGreaterThanOrEqualTo($b) && $v->isLessThanOrEqualTo($a);
    }
}
