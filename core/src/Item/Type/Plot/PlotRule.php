<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Plot;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Line;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Showing;

/**
 * Points and lines on a coordinate grid, or points and intervals on a number line, each within a tolerance in grid units.
 * A line is given by two points and compared by slope and intercept; an upright one by its place. Wrong plots worth
 * knowing carry a line each.
 *
 * Credit: (targets met − marks that meet nothing) / targets with credit, floor 0.
 */
final readonly class PlotRule extends PlainRule
{
    /** In grid units. */
    private const TOLERANCE = '1/4';

    /**
     * @param list<array{kind: 'point'|'line'|'upright'|'interval', numbers: list<BigRational>, tolerance: BigRational, line: Line, also: bool}> $targets
     *
     *            point: x, y; line: slope, intercept; upright: x; interval: from, to. What is right *also* may stand in
     *            place of what is asked for, and adds nothing to it.
     * @param Axis|null $up    null: a number line
     * @param bool      $curve a smooth curve is drawn through the points, for the eye alone
     */
    public function __construct(public array $targets, public Axis $across, public ?Axis $up, public bool $curve = false)
    {
    }

    public static function read(Node $node): self
    {
        $targets = [];
        foreach ($node->children('targets', 60) as $target) {
            $kind = match ($target->oneOf('kind', ['point', 'line', 'upright', 'interval'])) {
                'line' => 'line', 'upright' => 'upright', 'interval' => 'interval', default => 'point',
            };
            $names = ['point' => ['x', 'y'], 'line' => ['slope', 'intercept'], 'upright' => ['x'], 'interval' => ['from', 'to']][$kind];
            $targets[] = [
                'kind' => $kind,
                'numbers' => array_map(static fn (string $n): BigRational => $target->rational($n, '-100000', '100000'), $names),
                'tolerance' => $target->rational('tolerance', '0', '1000', self::TOLERANCE),
                'line' => Line::read($target),
                'also' => $target->bool('also', false),
            ];
            $target->rejectUnknown();
        }

        $ground = $node->childOrEmpty('ground');
        $rule = new self(
            $targets,
            Axis::read($ground->childOrEmpty('across')),
            $ground->bool('line', false) ? null : Axis::read($ground->childOrEmpty('up')),
            $ground->bool('curve', false),
        );
        $ground->rejectUnknown();

        return $rule;
    }

    public function type(): ItemType
    {
        return ItemType::Plot;
    }

    public function check(Response $response): Outcome
    {
        $marks = self::marks($response);
        if ($marks === []) {
            return Outcome::nothing();
        }
        $met = [];
        $sum = BigRational::zero();
        $false = 0;
        foreach ($marks as $mark) {
            $at = $this->targetOf($mark, $met);
            if ($at === null || $this->targets[$at]['line']->credit->isZero()) {
                ++$false;
            } else {
                $sum = $sum->plus($this->targets[$at]['line']->credit);
            }
            if ($at !== null) {
                $met[$at] = $this->targets[$at]['line'];
            }
        }
        $asked = count($this->right());
        $credit = $asked === 0 ? BigRational::zero() : $sum->minus($false)->dividedBy($asked);
        $credit = $credit->isNegative() ? BigRational::zero() : ($credit->isGreaterThan(1) ? BigRational::one() : $credit);
        ksort($met);
        $feedback = Said::together(array_map(static fn (Line $l): string => $l->feedback, array_values($met)));

        return Outcome::of(
            $credit,
            implode('+', array_map(static fn (int $i): string => 'target '.($i + 1), array_keys($met))),
            implode('; ', array_map(self::words(...), $marks)),
            $feedback,
            Line::misconceptionsOf(array_values($met)),
        );
    }

    /** Marks that earned less may stand in place of what is asked for from now on. */
    public function accepting(Response $response, BigRational $credit, string $feedback): self
    {
        $targets = $this->targets;
        $met = [];
        foreach (self::marks($response) as $mark) {
            $at = $this->targetOf($mark, $met);
            if ($at !== null) {
                $met[$at] = $targets[$at]['line'];
            }
            if ($at === null || $targets[$at]['line']->credit->isLessThan($credit)) {
                $taking = [
                    'kind' => $mark['kind'],
                    'numbers' => $at === null ? $mark['numbers'] : $targets[$at]['numbers'],
                    'tolerance' => $targets[$at ?? 0]['tolerance'] ?? BigRational::of(self::TOLERANCE),
                    'line' => new Line($credit, $feedback),
                    'also' => true,
                ];
                $targets = $at === null ? [...$targets, $taking] : array_values(array_replace($targets, [$at => $taking]));
            }
        }

        return new self($targets, $this->across, $this->up, $this->curve);
    }

    /** @return list<array{kind: 'point'|'line'|'upright'|'interval', numbers: list<BigRational>}> */
    private static function marks(Response $response): array
    {
        $marks = [];
        $plot = PlotResponse::of($response);
        foreach ($plot->points as $point) {
            $marks[] = ['kind' => 'point', 'numbers' => $point];
        }
        foreach ($plot->lines as [$x1, $y1, $x2, $y2]) {
            if ($x1->isEqualTo($x2)) {
                $marks[] = ['kind' => 'upright', 'numbers' => [$x1]];

                continue;
            }
            $slope = $y2->minus($y1)->dividedBy($x2->minus($x1))->simplified();
            $marks[] = ['kind' => 'line', 'numbers' => [$slope, $y1->minus($slope->multipliedBy($x1))->simplified()]];
        }
        foreach ($plot->intervals as [$from, $to]) {
            $marks[] = ['kind' => 'interval', 'numbers' => $from->isGreaterThan($to) ? [$to, $from] : [$from, $to]];
        }

        return $marks;
    }

    /**
     * @param array{kind: string, numbers: list<BigRational>} $mark
     * @param array<int, Line>                                $met  targets that are taken
     */
    private function targetOf(array $mark, array $met): ?int
    {
        foreach ($this->targets as $i => $target) {
            if (isset($met[$i]) || $target['kind'] !== $mark['kind']) {
                continue;
            }
            foreach ($target['numbers'] as $j => $number) {
                if ($mark['numbers'][$j]->minus($number)->abs()->isGreaterThan($target['tolerance'])) {
                    continue 2;
                }
            }

            return $i;
        }

        return null;
    }

    /** @param array{kind: string, numbers: list<BigRational>} $mark */
    private static function words(array $mark): string
    {
        $n = array_map(NumberText::write(...), $mark['numbers']);

        return match ($mark['kind']) {
            'point' => "($n[0], $n[1])",
            'line' => $n[0] === '0' ? "y = $n[1]" : 'y = '.(['1' => 'x', '-1' => '-x'][$n[0]] ?? $n[0].' x').match (true) {
                $n[1] === '0' => '',
                str_starts_with($n[1], '-') => ' − '.substr($n[1], 1),
                default => ' + '.$n[1],
            },
            'upright' => "x = $n[0]",
            default => "$n[0] to $n[1]",
        };
    }

    public function inWords(Response $response): string
    {
        return implode('; ', array_map(self::words(...), self::marks($response)));
    }

    /** In whatever order the marks were made. */
    public function comparedBy(Response $response, Outcome $outcome): string
    {
        $marks = array_map(self::words(...), self::marks($response));
        sort($marks);

        return implode("\n", $marks);
    }

    public function key(): string
    {
        return htmlspecialchars(implode('; ', array_map(self::words(...), $this->right())));
    }

    public function accepted(): array
    {
        return array_map(
            static fn (array $t): string => self::words($t).' for credit '.$t['line']->credit->simplified(),
            $this->targets,
        );
    }

    /**
     * What there is to plot with is what some target is made of: which of them earns something is not said by it.
     */
    public function face(Showing $showing): array
    {
        $kinds = array_column($this->targets, 'kind');

        return ['ground' => $this->ground(), 'tools' => array_values(array_filter([
            in_array('point', $kinds, true) ? 'point' : null,
            in_array('line', $kinds, true) || in_array('upright', $kinds, true) ? 'line' : null,
            in_array('interval', $kinds, true) ? 'interval' : null,
        ]))];
    }

    /** @return array<string, mixed> */
    private function ground(): array
    {
        return ['across' => $this->across->toArray()]
            + ($this->up === null ? ['line' => true] : ['up' => $this->up->toArray()])
            + ['curve' => $this->curve];
    }

    /** @return list<array{kind: 'point'|'line'|'upright'|'interval', numbers: list<BigRational>, tolerance: BigRational, line: Line, also: bool}> */
    private function right(): array
    {
        return array_values(array_filter($this->targets, static fn (array $t): bool => !$t['also'] && $t['line']->credit->isEqualTo(1)));
    }

    /** @param array{kind: string, numbers: list<BigRational>, tolerance: BigRational} $target */
    private function holds(array $target): bool
    {
        $across = $this->across->holds(...);

        return match ($target['kind']) {
            'point' => $across($target['numbers'][0]) && ($this->up === null || $this->up->holds($target['numbers'][1])),
            'interval' => $across($target['numbers'][0]) && $across($target['numbers'][1]),
            'upright' => $across($target['numbers'][0]),
            default => $this->up !== null,
        };
    }

    /**
     * Whether a mark that snaps comes within the tolerance. Lines go through two such marks, and nearly always can.
     *
     * @param array{kind: string, numbers: list<BigRational>, tolerance: BigRational} $target
     */
    private function canBeMade(array $target): bool
    {
        $near = static function (BigRational $value, ?Axis $axis) use ($target): bool {
            if ($axis === null) {
                return true;
            }
            $steps = $value->minus($axis->from)->dividedBy($axis->snap);
            $nearest = $steps->plus('1/2')->toScale(0, RoundingMode::FLOOR);

            return $steps->minus($nearest)->abs()->multipliedBy($axis->snap)->isLessThanOrEqualTo($target['tolerance']);
        };

        return match ($target['kind']) {
            'point' => $near($target['numbers'][0], $this->across) && $near($target['numbers'][1], $this->up),
            'interval' => $near($target['numbers'][0], $this->across) && $near($target['numbers'][1], $this->across),
            'upright' => $near($target['numbers'][0], $this->across),
            default => true,
        };
    }

    public function misconceptions(): array
    {
        return Line::misconceptionsOf(array_column($this->targets, 'line'));
    }

    public function toArray(): array
    {
        $names = ['point' => ['x', 'y'], 'line' => ['slope', 'intercept'], 'upright' => ['x'], 'interval' => ['from', 'to']];

        return ['ground' => $this->ground(), 'targets' => array_map(
            static fn (array $t): array => ['kind' => $t['kind']] + array_combine(
                $names[$t['kind']],
                array_map(strval(...), $t['numbers']),
            ) + ['tolerance' => (string) $t['tolerance']] + $t['line']->toArray() + ($t['also'] ? ['also' => true] : []),
            $this->targets,
        )];
    }

    public function defects(): array
    {
        $defects = $this->right() === [] ? [Defect::blocking('Nothing to plot earns full credit, so there is no key.')] : [];
        foreach ($this->right() as $target) {
            if (!$this->holds($target)) {
                $defects[] = Defect::blocking(sprintf('The key %s lies outside of the grid.', self::words($target)));
            } elseif (!$this->canBeMade($target)) {
                $defects[] = Defect::advice(sprintf('The key %s is not where marks snap to.', self::words($target)));
            }
        }

        return $defects;
    }
}
