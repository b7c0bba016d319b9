<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\Route;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A paper sat by made-up students before real ones sit it: which ways they take, how long these are, what marks come of
 * them, and how often a route sends a student the wrong way. The same seed gives the same students.
 *
 * A student has an ability from a standard normal and answers a question rightly with chance
 * guess + (1 − guess − slip) / (1 + e^(difficulty − ability)); one who holds a wrong idea is right where that idea leads
 * astray by a slip alone. A way takes the typical seconds of its questions, a return as long again. A route sends a
 * student below or above their level when the section's share, had they answered it without luck, would send them
 * elsewhere: below, where luck left them short of it, above, where it carried them past it. Without luck a holder of a wrong
 * idea has nothing where it leads astray, so that whoever is sent down by it is sent rightly.
 */
final readonly class Rehearsal
{
    private const MOST = 5000;
    private const EDGE = 0.02;

    /**
     * @param list<array{way: list<string>, students: int, questions: array{int, int}, points: BigRational, seconds: array{float, float}}> $ways
     *        sections in the order they were entered, how many went so, least and most questions they answered, points on offer, and the
     *        time that half of them and nine in ten stay within; the most travelled first
     * @param array<int, int>                               $lengths how many answered so many questions, returns counted
     * @param list<array{from: float, students: int, share: float}> $byAbility mean share of the marks by fifths of ability, the lowest first
     * @param array<string, array{students: int, below: int, above: int, exits: list<array{to: string, students: int, abilities: list<int>, wrong: int}>, cut: string|null, cuts: list<array{share: string, wrong: int}>, withTwoMore: int|null}> $routes
     *        by section that a route leaves ({@see RouteTally})
     * @param array{float, float, float}                            $seconds that a tenth of the students, half, nine tenths stay within
     */
    private function __construct(
        public int $students,
        public array $ways,
        public array $lengths,
        public array $byAbility,
        public array $routes,
        public array $seconds,
    ) {
    }

    /**
     * @param array<string, float> $difficulty    in logits by entry id; absent: 0
     * @param array<string, array{share: float, entries: list<string>}> $ideas wrong ideas: how many hold each, and the questions it leads astray in
     * @param float                $slip          chance of a wrong answer though the student knows
     * @param float                $guess         chance of a right answer though they do not
     * @param array<string, float> $guesses       the same by entry id, where it is another
     * @param array<string, float> $seconds       typical time by entry id; absent: none
     *
     * @throws \DomainException when some way through the paper never ends
     */
    public static function of(
        Paper $paper,
        array $difficulty,
        MachineMarked $marked,
        int $students,
        string $seed,
        float $slip = 0.05,
        float $guess = 0.2,
        array $ideas = [],
        array $guesses = [],
        array $seconds = [],
    ): self {
        if (PaperProof::goesRound($paper)) {
            throw new \DomainException('These routes go round without end; nobody could sit the paper.');
        }
        $students = max(1, min(self::MOST, $students));
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'rehearsal|'.$seed, true)));
        $chance = static fn (): float => $random->getInt(0, 999_999_999) / 1e9;
        // Questions that are only imagined draw from elsewhere, so that they change nobody's way.
        $further = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'two more|'.$seed, true)));
        [$right, $wrong] = [Outcome::of(BigRational::one(), '', ''), Outcome::of(BigRational::zero(), '', '')];
        $ways = $lengths = $people = $times = [];
        /** @var array<string, RouteTally> $routes */
        $routes = [];
        for ($s = 0; $s < $students; ++$s) {
            $ability = self::normal($chance);
            $astray = [];
            foreach ($ideas as $idea) {
                $astray += $chance() < $idea['share'] ? array_fill_keys($idea['entries'], true) : [];
            }
            $p = static fn (string $entry): float => isset($astray[$entry]) ? $slip : self::chance(
                $ability,
                $difficulty[$entry] ?? 0.0,
                $slip,
                $guesses[$entry] ?? $guess,
            );
            $walk = Walk::start($paper, new Conditions(), $seed.$s);
            $outcomes = [];
            $way = [];
            $length = 0;
            $time = 0.0;
            while (($visit = $walk->current()) !== null) {
                foreach ($visit->entries as $entry) {
                    if ($paper->entry($entry)?->isQuestion() === true) {
                        ++$length;
                        $time += $seconds[$entry] ?? 0.0;
                        $outcomes[$entry][$visit->try] = $chance() < $p($entry) ? $right : $wrong;
                    }
                }
                if (!$walk->returns()) {
                    $way[] = $visit->section;
                }
                $next = $walk->leave($paper, new Conditions(), $seed.$s, $outcomes, $marked);
                $section = $walk->base($paper);
                // It is left for good, and not only for what comes back.
                if ($section?->route !== null && !$next->returns()) {
                    $checked = array_values(array_filter($walk->asked($section), static fn (Entry $e): bool => $marked->has($e->id)));
                    $knows = static fn (string $e): float => isset($astray[$e]) ? 0.0 : 1 / (1 + exp(($difficulty[$e] ?? 0.0) - $ability));
                    $deserved = self::deserved($checked, $knows);
                    $best = array_map(static fn (Entry $q): BigRational => self::best($paper, $outcomes[$q->id] ?? []), $checked);
                    $reached = Walk::share($checked, $best, $marked);
                    $of = array_combine(array_column($checked, 'id'), $best);
                    $used = $walk->usedUp($section);
                    $choice = static fn (BigRational $share, \Closure $of): int => $section->route->choice(
                        Route::names($share, self::credits($section->questions(), $marked, $of)),
                        $used,
                    );
                    $routes[$section->id] ??= new RouteTally($section->route);
                    $routes[$section->id]->add(
                        $ability,
                        $choice($reached, static fn (string $e): BigRational => $of[$e]),
                        // A condition over single questions is judged by those that the student rather knows than not.
                        $choice(
                            BigRational::of(sprintf('%.6F', $deserved)),
                            static fn (string $e): BigRational => BigRational::of($knows($e) >= 0.5 ? 1 : 0),
                        ),
                        $used === [],
                        $deserved,
                        $reached,
                        self::withTwoMore($checked, $reached->toFloat(), $p, static fn (): float => $further->getInt(0, 999_999_999) / 1e9),
                    );
                }
                $walk = $next;
            }
            $ways[implode(' ', $way)][] = [$length, $time];
            $lengths[$length] = ($lengths[$length] ?? 0) + 1;
            $times[] = $time;
            $people[] = [$ability, self::total($paper, $walk, $outcomes)];
        }
        uasort($ways, static fn (array $a, array $b): int => count($b) <=> count($a));
        ksort($lengths);

        return new self(
            $students,
            array_map(
                static fn (string $way, array $gone): array => self::way($paper, explode(' ', $way), $gone),
                array_keys($ways),
                array_values($ways),
            ),
            $lengths,
            self::fifths($people),
            array_map(static fn (RouteTally $t): array => $t->told(), $routes),
            [self::within($times, 0.1), self::within($times, 0.5), self::within($times, 0.9)],
        );
    }

    /**
     * The difficulty at which so large a share of all students has a question right, and the chance to guess it. Where fewer have it
     * right than guess it, such as where a wrong idea draws them away, the guesses are halved until the share can be reached;
     * shares that slips alone explain are drawn in to 0.98 of what lies below them.
     *
     * @return array{float, float}
     */
    public static function calibrated(float $facility, float $slip = 0.05, float $guess = 0.2): array
    {
        $least = static fn (float $g): float => $g + self::EDGE * (1 - $g - $slip);
        while ($guess > 1e-3 && $facility < $least($guess)) {
            $guess /= 2;
        }
        $facility = max($least($guess), min($guess + (1 - self::EDGE) * (1 - $guess - $slip), $facility));
        [$low, $high] = [-12.0, 12.0];
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if (self::facility($middle, $slip, $guess) > $facility) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return [($low + $high) / 2, $guess];
    }

    /** The share of all students, abilities standard normal, who have a question of this difficulty right (trapezoid rule). */
    private static function facility(float $difficulty, float $slip, float $guess): float
    {
        $sum = $weight = 0.0;
        for ($t = -6.0; $t <= 6.0; $t += 0.1) {
            $w = exp(-$t * $t / 2);
            $sum += $w * self::chance($t, $difficulty, $slip, $guess);
            $weight += $w;
        }

        return $sum / $weight;
    }

    private static function chance(float $ability, float $difficulty, float $slip, float $guess): float
    {
        return $guess + (1 - $guess - $slip) / (1 + exp($difficulty - $ability));
    }

    /**
     * @param non-empty-list<string>       $sections
     * @param non-empty-list<array{int, float}> $gone questions and seconds of each who went so
     *
     * @return array{way: list<string>, students: int, questions: array{int, int}, points: BigRational, seconds: array{float, float}}
     */
    private static function way(Paper $paper, array $sections, array $gone): array
    {
        $points = BigRational::sum(BigRational::zero(), ...array_map(
            static fn (string $id): BigRational => $paper->section($id)?->points()[1] ?? BigRational::zero(),
            array_values(array_unique($sections)),
        ));
        $lengths = array_column($gone, 0);
        $times = array_column($gone, 1);

        return [
            'way' => $sections,
            'students' => count($gone),
            'questions' => [min($lengths), max($lengths)],
            'points' => $points->simplified(),
            'seconds' => [self::within($times, 0.5), self::within($times, 0.9)],
        ];
    }

    /** @param list<float> $times at least one */
    private static function within(array $times, float $share): float
    {
        sort($times);

        return $times[max(0, (int) ceil($share * count($times)) - 1)];
    }

    /**
     * Credits in written order, of what a person marks none.
     *
     * @param list<Entry>                    $questions
     * @param \Closure(string): BigRational $of
     *
     * @return list<BigRational>
     */
    private static function credits(array $questions, MachineMarked $marked, \Closure $of): array
    {
        return array_map(
            static fn (Entry $q): BigRational => $marked->has($q->id) ? $of($q->id) : BigRational::zero(),
            $questions,
        );
    }

    /**
     * The share that a student would have reached without luck.
     *
     * @param list<Entry>              $marked
     * @param \Closure(string): float $knows
     */
    private static function deserved(array $marked, \Closure $knows): float
    {
        $reached = $possible = 0.0;
        foreach ($marked as $q) {
            $points = $q->points->toFloat();
            $reached += $knows($q->id) * $points;
            $possible += $points;
        }

        return $possible > 0.0 ? $reached / $possible : 0.0;
    }

    /**
     * The share with two more questions that are worth, and as hard, as those are on average.
     *
     * @param list<Entry>              $marked
     * @param \Closure(string): float $p      the chance to have each right
     * @param \Closure(): float       $chance
     */
    private static function withTwoMore(array $marked, float $reached, \Closure $p, \Closure $chance): float
    {
        $n = count($marked);
        if ($n === 0) {
            return $reached;
        }
        $each = array_sum(array_map(static fn (Entry $q): float => $p($q->id), $marked)) / $n;
        $hits = ($chance() < $each ? 1 : 0) + ($chance() < $each ? 1 : 0);

        return ($reached * $n + $hits) / ($n + 2);
    }

    /** @param array<string, array<int, Outcome>> $outcomes */
    private static function total(Paper $paper, Walk $walk, array $outcomes): float
    {
        $reached = $possible = 0.0;
        foreach (array_unique(array_column($walk->steps($paper), 'entry')) as $id) {
            $points = $paper->entry($id)?->points->toFloat() ?? 0.0;
            $reached += self::best($paper, $outcomes[$id] ?? [])->toFloat() * $points;
            $possible += $points;
        }

        return $possible > 0.0 ? $reached / $possible : 0.0;
    }

    /** @param array<int, Outcome> $tries */
    private static function best(Paper $paper, array $tries): BigRational
    {
        return Walk::bestCredit($paper, array_map(static fn (Outcome $o): BigRational => $o->credit ?? BigRational::zero(), $tries));
    }

    /** @param \Closure(): float $chance */
    private static function normal(\Closure $chance): float
    {
        return sqrt(-2 * log(1 - $chance())) * cos(2 * M_PI * $chance());
    }

    /**
     * @param list<array{float, float}> $people ability and share of the marks
     *
     * @return list<array{from: float, students: int, share: float}>
     */
    private static function fifths(array $people): array
    {
        usort($people, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $fifths = [];
        $n = count($people);
        for ($i = 0; $i < 5; ++$i) {
            $part = array_slice($people, intdiv($i * $n, 5), intdiv(($i + 1) * $n, 5) - intdiv($i * $n, 5));
            if ($part !== []) {
                $fifths[] = [
                    'from' => $part[0][0],
                    'students' => count($part),
                    'share' => array_sum(array_column($part, 1)) / count($part),
                ];
            }
        }

        return $fifths;
    }
}
