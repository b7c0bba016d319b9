<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Paper\Route;

/**
 * What made-up students do at the end of one section: which way each goes, which way each would have gone without luck, and what
 * another cut, or two more questions, would have made of it.
 */
final class RouteTally
{
    /** Abilities are counted in ranges of half a standard deviation from −3 to 3; what lies beyond is in the outermost. */
    public const RANGES = 12;
    private const CUTS = 20;

    private int $students = 0;

    /** @var array<int, array{students: int, abilities: array<int, int>, wrong: int}> by exit */
    private array $exits = [];
    private int $below = 0;
    private int $above = 0;

    /** @var list<array{float, float, float}> deserved, reached, reached with two more questions; a quotient of small numbers is one double */
    private array $shares = [];

    /** @var array<string, true> shares that some student reached */
    private array $reached = [];

    public function __construct(private readonly Route $route)
    {
        for ($i = 0; $i <= count($route->exits); ++$i) {
            $this->exits[$i] = ['students' => 0, 'abilities' => array_fill(0, self::RANGES, 0), 'wrong' => 0];
        }
    }

    /**
     * @param int         $gone     which way the student went
     * @param bool        $open     whether its exits were all to be had still: a cut that is spent places nobody
     * @param int         $due      which way without luck
     * @param float       $deserved the share without luck
     * @param BigRational $reached  in lowest terms
     */
    public function add(float $ability, int $gone, int $due, bool $open, float $deserved, BigRational $reached, float $withTwoMore): void
    {
        $misled = $this->route->to($gone) !== $this->route->to($due);
        $exit = $this->exits[$gone];
        ++$exit['students'];
        ++$exit['abilities'][max(0, min(self::RANGES - 1, (int) floor(($ability + 3) * 2)))];
        $exit['wrong'] += $misled ? 1 : 0;
        $this->exits[$gone] = $exit;
        $missed = $misled ? $reached->toFloat() <=> $deserved : 0;
        $this->below += $missed < 0 ? 1 : 0;
        $this->above += $missed > 0 ? 1 : 0;
        ++$this->students;
        if ($open) {
            $this->shares[] = [$deserved, $reached->toFloat(), $withTwoMore];
            $this->reached[(string) $reached] = true;
        }
    }

    /** @return array{students: int, below: int, above: int, exits: list<array{to: string, students: int, abilities: list<int>, wrong: int}>, cut: string|null, cuts: list<array{share: string, wrong: int}>, withTwoMore: int|null} */
    public function told(): array
    {
        $cut = $this->route->cut();

        return [
            'students' => $this->students,
            'below' => $this->below,
            'above' => $this->above,
            'exits' => array_map(fn (array $e, int $i): array => [
                'to' => $this->route->to($i),
                'students' => $e['students'],
                'abilities' => array_values($e['abilities']),
                'wrong' => $e['wrong'],
            ], array_values($this->exits), array_keys($this->exits)),
            'cut' => $cut === null ? null : (string) $cut,
            'cuts' => $cut === null ? [] : $this->cuts($cut),
            'withTwoMore' => $cut === null ? null : $this->misplaced($cut, $cut, 2),
        ];
    }

    /**
     * How many each cut would misplace, the level that is meant staying where it is: that of who earns the present cut without luck.
     *
     * @return list<array{share: string, wrong: int}> ascending; each a share that some student reached, or a round one, with the present
     */
    private function cuts(BigRational $level): array
    {
        $shares = [(string) $level->simplified() => $level];
        foreach (array_keys($this->reached) as $reached) {
            $shares[$reached] = BigRational::of($reached);
        }
        if (count($shares) > self::CUTS) {
            $shares = [(string) $level->simplified() => $level];
            for ($i = 1; $i < self::CUTS; ++$i) {
                $share = BigRational::nd($i, self::CUTS)->simplified();
                $shares[(string) $share] = $share;
            }
        }
        usort($shares, static fn (BigRational $a, BigRational $b): int => $a->compareTo($b));

        return array_map(fn (BigRational $c): array => [
            'share' => (string) $c->simplified(),
            'wrong' => $this->misplaced($level, $c, 1),
        ], array_values(array_filter($shares, static fn (BigRational $c): bool => $c->isPositive())));
    }

    /** @param 1|2 $by with the share that was reached, or with two more questions */
    private function misplaced(BigRational $level, BigRational $cut, int $by): int
    {
        [$level, $cut] = [$level->toFloat(), $cut->toFloat()];

        return count(array_filter($this->shares, static fn (array $s): bool => $cut > $s[$by] !== $s[0] < $level));
    }
}
