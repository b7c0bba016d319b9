<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
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
     * @param array<string, int>                            $ways    sections in the order they were entered, joined by " → ", with how many went so
     * @param array<int, int>                               $lengths how many answered so many questions, returns counted
     * @param list<array{from: float, students: int, share: float}> $byAbility mean share of the marks by fifths of ability, the lowest first
     * @param array<string, array{students: int, below: int, above: int}> $routes by section that a route leaves
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
     * @param list<string>         $machineMarked ids of the entries that a machine marks
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
        array $machineMarked,
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
        $ways = $lengths = $routes = $people = $times = [];
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
                $section = $paper->section($visit->section);
                foreach ($visit->entries as $entry) {
                    if ($paper->entry($entry)?->isQuestion() === true) {
                        ++$length;
                        $time += $seconds[$entry] ?? 0.0;
                        $outcomes[$entry][$visit->try] = Outcome::of(BigRational::of($chance() < $p($entry) ? 1 : 0), '', '');
                    }
                }
                if ($visit->try === 1) {
                    $way[] = $section->title ?? '';
                }
                $next = $walk->leave($paper, new Conditions(), $seed.$s, $outcomes, $machineMarked);
                $arrived = $next->current();
                $left = $arrived === null || $arrived->section !== $visit->section;
                if ($left && $section?->route !== null) {
                    $knows = static fn (string $e): float => isset($astray[$e]) ? 0.0 : 1 / (1 + exp(($difficulty[$e] ?? 0.0) - $ability));
                    $deserved = BigRational::of(sprintf(
                        '%.6F',
                        self::deserved(
                            $section->questions(),
                            $machineMarked,
                            $knows,
                        ),
                    ));
                    $reached = self::share($paper, $section->questions(), $machineMarked, $outcomes);
                    // A condition over single questions is judged by those that the student rather knows than not.
                    $due = $section->route->target($deserved, self::credits(
                        $section->questions(),
                        $machineMarked,
                        static fn (string $e): BigRational => BigRational::of($knows($e) >= 0.5 ? 1 : 0),
                    ));
                    $gone = $section->route->target($reached, self::credits(
                        $section->questions(),
                        $machineMarked,
                        static fn (string $e): BigRational => self::best($paper, $outcomes[$e] ?? []),
                    ));
                    $missed = $due === $gone ? 0 : $reached->compareTo($deserved);
                    $routes[$section->id] ??= ['students' => 0, 'below' => 0, 'above' => 0];
                    ++$routes[$section->id]['students'];
                    $routes[$section->id]['below'] += $missed < 0 ? 1 : 0;
                    $routes[$section->id]['above'] += $missed > 0 ? 1 : 0;
                }
                $walk = $next;
            }
            $name = implode(' → ', $way);
            $ways[$name] = ($ways[$name] ?? 0) + 1;
            $lengths[$length] = ($lengths[$length] ?? 0) + 1;
            $times[] = $time;
            $people[] = [$ability, self::total($paper, $walk, $outcomes)];
        }
        arsort($ways);
        ksort($lengths);
        sort($times);
        $within = static fn (float $share): float => $times[max(0, (int) ceil($share * $students) - 1)];

        return new self($students, $ways, $lengths, self::fifths($people), $routes, [$within(0.1), $within(0.5), $within(0.9)]);
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
     * Credits in written order, of what a person marks none.
     *
     * @param list<Entry>                    $questions
     * @param list<string>                   $machineMarked
     * @param \Closure(string): BigRational $of
     *
     * @return list<BigRational>
     */
    private static function credits(array $questions, array $machineMarked, \Closure $of): array
    {
        return array_map(
            static fn (Entry $q): BigRational => in_array($q->id, $machineMarked, true) ? $of($q->id) : BigRational::zero(),
            $questions,
        );
    }

    /**
     * @param list<Entry>              $questions
     * @param list<string>             $machineMarked
     * @param \Closure(string): float  $p
     */
    private static function deserved(array $questions, array $machineMarked, \Closure $p): float
    {
        $reached = $possible = 0.0;
        foreach ($questions as $q) {
            if (in_array($q->id, $machineMarked, true)) {
                $reached += $p($q->id) * $q->points->toFloat();
                $possible += $q->points->toFloat();
            }
        }

        return $possible > 0.0 ? $reached / $possible : 0.0;
    }

    /**
     * @param list<Entry>                        $questions
     * @param list<string>                       $machineMarked
     * @param array<string, array<int, Outcome>> $outcomes
     */
    private static function share(Paper $paper, array $questions, array $machineMarked, array $outcomes): BigRational
    {
        $reached = $possible = BigRational::zero();
        foreach ($questions as $q) {
            if (in_array($q->id, $machineMarked, true)) {
                $reached = $reached->plus(self::best($paper, $outcomes[$q->id] ?? [])->multipliedBy($q->points));
                $possible = $possible->plus($q->points);
            }
        }

        return $possible->isZero() ? BigRational::zero() : $reached->dividedBy($possible)->simplified();
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
