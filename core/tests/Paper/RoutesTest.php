<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Paper\Route;
use ChalkLadder\Core\Paper\RouteExit;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Core\Tests\Item\Rules;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What the proof says of a paper, against every way that students go through it. */
final class RoutesTest extends TestCase
{
    private const MOST = 3;
    private const CONDITIONS = [
        'share < 1/2', 'share >= 1/2', 'share = 1', 'q1 = 1', 'q1 = 0 and share > 0', 'share > 2', 'share <= 1', 'q2 = 1 or q1 = 1/2',
    ];

    public function testTheProofAgreesWithGoingEveryWayWithEveryPatternOfMarks(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20));
        for ($n = 0; $n < 250; ++$n) {
            $shape = [];
            for ($i = 0; $i < self::MOST; ++$i) {
                $exit = static fn (): array => [
                    $random->getInt(0, count(self::CONDITIONS) - 1),
                    $random->getInt(0, self::MOST),
                    $random->getInt(0, 3) === 0 ? 1 : 0,
                ];
                $shape[] = [$random->getInt(1, 2), [$exit(), $exit()], $random->getInt(0, 2), $random->getInt(0, self::MOST)];
            }
            $paper = self::paper($shape);
            $proof = PaperProof::of($paper, ['one' => ItemTemplate::of(Rules::item('one'))]);
            $said = implode("\n", array_map(static fn ($d): string => $d->message, $proof->defects));
            if (PaperProof::goesRound($paper)) {
                self::assertStringContainsString('go round without end', $said);
                self::assertFalse($proof->mayPublish());

                continue;
            }
            $found = ['lengths' => [], 'points' => [], 'exits' => []];
            self::walk($paper, Walk::start($paper, new Conditions(), 's'), [], $found);
            $rounds = array_merge(...array_column($shape, 1));
            $loops = array_sum(array_column($rounds, 2)) > 0;
            foreach ($proof->exits as $section => $exits) {
                // Where two ways lead to one place, either may have been the one.
                foreach (array_unique(array_column($exits, 'to')) as $to) {
                    $possible = array_filter($exits, static fn ($e): bool => $e->to === $to && $e->isPossible()) !== [];
                    $gone = isset($found['exits']["$section.$to"]);
                    self::assertTrue($possible || !$gone, "$section to $to is said to be impossible, and was gone");
                    // Without rounds a section is entered once, with any marks, if at all.
                    if (!$loops && isset($found['exits'][$section])) {
                        self::assertSame($gone, $possible, "$section to $to");
                    }
                }
            }
            foreach ($paper->sections as $section) {
                $unreached = str_contains($said, sprintf('Section "%s" is never reached.', $section->title));
                self::assertFalse($unreached && isset($found['exits'][$section->id]), $section->id);
                self::assertTrue($loops || $unreached || isset($found['exits'][$section->id]), $section->id);
            }
            [$lengths, $points] = [$found['lengths'], $found['points']];
            self::assertTrue($lengths !== [] && $points !== []);
            self::assertLessThanOrEqual(min($lengths), $proof->length[0]);
            self::assertGreaterThanOrEqual(max($lengths), $proof->length[1]);
            self::assertTrue($proof->points[0]->isLessThanOrEqualTo(min($points)));
            self::assertTrue($proof->points[1]->isGreaterThanOrEqualTo(max($points)));
            if (!$loops) {
                self::assertSame([min($lengths), max($lengths)], $proof->length, (string) json_encode($paper->toArray()));
            }
        }
    }

    public function testAShareAtTheEdgeIsNotBelowIt(): void
    {
        $route = new Route([RouteExit::below(BigRational::of('1/3'), 'again')], 'on');

        self::assertSame(0, $route->choice(Route::names(BigRational::of('333333333333/1000000000000'), [])));
        self::assertSame(1, $route->choice(Route::names(BigRational::of('1/3'), [])));
    }

    public function testARouteOfBeforeExitsWereListedIsTheSame(): void
    {
        $route = self::route(['when' => 'q2 < 1 and share >= 0.5', 'then' => 'help', 'else' => 'end']);
        [$none, $half, $whole] = [BigRational::zero(), BigRational::of('1/2'), BigRational::one()];
        $to = static fn (BigRational $share, BigRational ...$credits): string => $route->to(
            $route->choice(Route::names($share, array_values($credits))),
        );

        self::assertSame('help', $to($half, $whole, $none));
        self::assertSame('end', $to($half, $none, $whole));
        self::assertSame('end', $to($none, $none, $none));
        self::assertSame('end', $to($half, $whole), 'a condition without a value does not hold');
        self::assertSame(['q2'], $route->unknownNames(1));
        self::assertSame([], $route->unknownNames(2));
        self::assertSame('1/2', (string) self::route(['below' => '0.5', 'then' => 'help', 'else' => 'end'])->cut());
    }

    public function testTheFirstExitThatHoldsIsTakenUntilItIsUsedUp(): void
    {
        $route = self::route(['exits' => [
            ['when' => 'share < 1/2', 'to' => 'a', 'rounds' => 1],
            ['when' => 'share < 1', 'to' => 'b'],
        ], 'else' => 'end']);

        $third = Route::names(BigRational::of('1/3'), []);
        self::assertSame(['a', 'b'], [$route->to($route->choice($third)), $route->to($route->choice($third, [0]))]);
        self::assertSame('end', $route->to($route->choice(Route::names(BigRational::one(), []))));
        self::assertNull($route->cut());
    }

    public function testAHundredSharesAreProvedExactlyAndManyPatternsAreSaidToBeASample(): void
    {
        $exits = static function (int $questions, string $when): array {
            $entries = array_map(static fn (int $i): array => ['id' => "e$i", 'kind' => 'question', 'item' => 'one', 'points' => '1'], range(1, $questions));

            return PaperProof::of(PaperReader::read(['version' => 1, 'title' => 'Any', 'sections' => [
                ['id' => 'a', 'title' => 'A', 'entries' => $entries, 'route' => ['exits' => [['when' => $when, 'to' => 'b']], 'else' => 'end']],
                ['id' => 'b', 'title' => 'B', 'entries' => [], 'route' => null],
            ]]), ['one' => ItemTemplate::of(Rules::item('one'))])->exits['a'];
        };

        self::assertTrue($exits(100, 'share < 0.005')[0]->exact);
        self::assertSame('may', $exits(100, 'share < 0.005')[0]->says);
        self::assertSame('never', $exits(100, 'share > 0.99 and share < 1')[0]->says);
        $many = implode(' + ', array_map(static fn (int $i): string => "q$i", range(1, 12)));
        self::assertFalse($exits(12, "$many > 3")[0]->exact);
        self::assertSame('may', $exits(12, "$many > 3")[0]->says);
    }

    public function testAPaperOfManyExitsIsLookedAtInFewPatternsEachAndSaysSo(): void
    {
        $sections = array_map(static fn (int $s): array => [
            'id' => "s$s",
            'title' => "S$s",
            'entries' => array_map(
                static fn (int $i): array => ['id' => "e$s-$i", 'kind' => 'question', 'item' => 'one', 'points' => '1'],
                range(1, 10),
            ),
            'route' => ['exits' => array_fill(0, 8, ['when' => 'q1 + q2 + q3 + q4 + q5 + q6 > 3', 'to' => 'end']), 'else' => 'end'],
        ], range(1, 40));
        $exits = PaperProof::of(
            PaperReader::read(['version' => 1, 'title' => 'Any', 'sections' => $sections]),
            ['one' => ItemTemplate::of(Rules::item('one'))],
        )->exits;

        self::assertLessThanOrEqual(8000, array_sum(array_map(
            static fn (array $of): int => 8 * $of[0]->patterns,
            $exits,
        )));
        self::assertFalse($exits['s1'][0]->exact);
    }

    /** @param array<string, mixed> $route */
    private static function route(array $route): Route
    {
        $read = PaperReader::read([
            'version' => 1,
            'sections' => [['id' => 'a', 'title' => 'A', 'entries' => [], 'route' => $route]],
        ])->sections[0]->route;
        self::assertNotNull($read);

        return $read;
    }

    /**
     * Goes on from here with every pattern of right and wrong.
     *
     * @param array<string, array<int, Outcome>>                                                                       $outcomes
     * @param array{lengths: list<int>, points: list<int>, exits: array<string, true>} $found
     */
    private static function walk(Paper $paper, Walk $walk, array $outcomes, array &$found): void
    {
        $visit = $walk->current();
        $all = new MachineMarked(array_map(static fn ($e): string => $e->id, $paper->questions()));
        if ($visit === null) {
            $steps = $walk->steps($paper);
            $found['lengths'][] = count($steps);
            $found['points'][] = count(array_unique(array_column($steps, 'entry')));

            return;
        }
        $found['exits'][$visit->section] = true;
        for ($pattern = 0; $pattern < 2 ** count($visit->entries); ++$pattern) {
            $now = $outcomes;
            foreach ($visit->entries as $i => $entry) {
                $now[$entry][$visit->try] = Outcome::of(BigRational::of($pattern >> $i & 1), '', '');
            }
            $next = $walk->leave($paper, new Conditions(), 's', $now, $all);
            $found['exits'][$visit->section.'.'.($next->current()->section ?? Route::END)] = true;
            self::walk($paper, $next, $now, $found);
        }
    }

    /** @param list<array{int, list<array{int, int, int}>, int, int}> $shape questions, exits with condition, steps on and rounds, how many of these, the last way */
    private static function paper(array $shape): Paper
    {
        $place = static fn (int $i): string => $i >= self::MOST ? 'end' : 's'.$i;
        $sections = [];
        // Ways multiply with each round: two exits with one are enough to tangle them.
        $rounds = 2;
        foreach ($shape as $s => [$questions, $exits, $count, $else]) {
            $entries = [];
            for ($q = 0; $q < $questions; ++$q) {
                $entries[] = ['id' => "e{$s}-{$q}", 'kind' => 'question', 'item' => 'one', 'points' => '1'];
            }
            $sections[] = ['id' => 's'.$s, 'title' => 'Section '.$s, 'entries' => $entries, 'route' => [
                'exits' => array_map(static function (array $e) use ($questions, $place, $s, &$rounds): array {
                    $back = $e[2] > 0 && $rounds-- > 0;

                    return [
                        'when' => $questions === 1 ? str_replace('q2', 'q1', self::CONDITIONS[$e[0]]) : self::CONDITIONS[$e[0]],
                        'to' => $place($back ? $e[1] : max($s + 1, $e[1])),
                    ] + ($back ? ['rounds' => 1] : []);
                }, array_slice($exits, 0, $count)),
                'else' => $place(max($s + 1, $else)),
            ]];
        }

        return PaperReader::read(['version' => 1, 'title' => 'Any', 'sections' => $sections]);
    }
}
