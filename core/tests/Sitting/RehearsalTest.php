<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\Rehearsal;
use PHPUnit\Framework\TestCase;

final class RehearsalTest extends TestCase
{
    public function testTheSameSeedRehearsesTheSame(): void
    {
        $one = self::rehearse('a');
        self::assertEquals($one, self::rehearse('a'));
        self::assertNotEquals($one->ways, self::rehearse('b')->ways);
    }

    public function testEveryStudentTakesOneWayOfALengthThatIsPossible(): void
    {
        $found = self::rehearse('a', 400);
        self::assertSame(400, array_sum(self::ways($found)));
        self::assertSame(400, array_sum($found->lengths));
        self::assertEqualsCanonicalizing(['s1 s2 s3', 's1 s3'], array_keys(self::ways($found)));
        $ways = array_column($found->ways, null, 'students');
        krsort($ways);
        self::assertSame(array_values($ways), $found->ways, 'the most travelled first');
        foreach ($found->ways as $way) {
            $questions = count($way['way']) === 3 ? 8 : 6;
            self::assertSame([$questions, $questions], $way['questions']);
            self::assertSame((string) $questions, (string) $way['points']);
        }
        self::assertSame([], array_diff(array_keys($found->lengths), [6, 8]));
        self::assertSame(400, array_sum(array_column($found->byAbility, 'students')));
    }

    public function testTheAbleEarnMoreAndAreSentBackLess(): void
    {
        $found = self::rehearse('a', 1000);
        $shares = array_column($found->byAbility, 'share');
        $sorted = $shares;
        sort($sorted);
        self::assertSame($sorted, $shares);
        $hard = self::rehearse('a', 1000, array_fill_keys(['e1', 'e2', 'e3', 'e4'], 3.0));
        $back = static fn (Rehearsal $r): int => self::ways($r)['s1 s2 s3'] ?? 0;
        self::assertGreaterThan($back($found), $back($hard));
    }

    public function testARouteOverFewQuestionsErrsMoreThanOneOverMany(): void
    {
        $few = self::rehearse('a', 600)->routes['s1'];
        self::assertSame(600, $few['students']);
        $many = Rehearsal::of(
            PaperReader::read(self::paper(24)),
            [],
            self::marked(28),
            600,
            'a',
            0.0,
            0.0,
        )->routes['s1'];
        self::assertLessThan($few['below'] + $few['above'], $many['below'] + $many['above']);
        self::assertGreaterThan(0, $many['below'] + $many['above']);
    }

    public function testWithoutLuckEachAnswerFollowsTheChances(): void
    {
        $found = Rehearsal::of(
            PaperReader::read(self::paper(4)),
            array_fill_keys(['e1', 'e2', 'e3', 'e4', 'e5', 'e6', 'e7', 'e8'], -20.0),
            self::marked(),
            50,
            'a',
            0.0,
            0.0,
        );
        self::assertSame(['s1 s3' => 50], self::ways($found));
        self::assertSame([1.0, 1.0, 1.0, 1.0, 1.0], array_column($found->byAbility, 'share'));
        self::assertSame([50, 0, 0], self::misled($found));
        self::assertSame([0, 50], array_column($found->routes['s1']['exits'], 'students'));
        self::assertSame(0, $found->routes['s1']['withTwoMore']);
    }

    public function testLuckLiftsAboveAndSlipsPushBelow(): void
    {
        $route = static fn (float $slip, float $guess): array => Rehearsal::of(
            PaperReader::read(self::paper(24)),
            [],
            self::marked(28),
            400,
            'a',
            $slip,
            $guess,
        )->routes['s1'];
        [$lucky, $careless, $sure] = [$route(0.0, 0.5), $route(0.5, 0.0), $route(0.0, 1.0)];

        self::assertGreaterThan(3 * $lucky['below'], $lucky['above']);
        self::assertGreaterThan(3 * $careless['above'], $careless['below']);
        self::assertSame(0, $sure['below'], 'whoever guesses everything is never short');
        self::assertEqualsWithDelta(200, $sure['above'], 32, 'half of them have an ability below the cut');
    }

    public function testAWrongIdeaLeadsAstrayWhereItApplies(): void
    {
        $with = Rehearsal::of(
            PaperReader::read(self::paper(4)),
            array_fill_keys(self::all(), -20.0),
            self::marked(),
            200,
            'a',
            0.0,
            0.0,
            ['even' => ['share' => 1.0, 'entries' => ['e1', 'e2', 'e3']]],
        );
        self::assertSame(
            ['s1 s2 s3' => 200],
            self::ways($with),
            'a quarter of the first section is below its half',
        );
        $some = Rehearsal::of(
            PaperReader::read(self::paper(4)),
            array_fill_keys(self::all(), -20.0),
            self::marked(),
            400,
            'a',
            0.0,
            0.0,
            ['even' => ['share' => 0.3, 'entries' => ['e1', 'e2', 'e3']]],
        );
        self::assertEqualsWithDelta(120, self::ways($some)['s1 s2 s3'], 37);
    }

    public function testReturnsMakeItLonger(): void
    {
        $paper = ['mastery' => ['returns' => 1, 'credits' => ['1', '1/2']]] + self::paper(4);
        $found = Rehearsal::of(PaperReader::read($paper), [], self::marked(), 200, 'a');
        self::assertGreaterThan(8, array_key_last($found->lengths));
        self::assertSame(200, array_sum(self::ways($found)));
    }

    public function testAQuestionRehearsesAsItsRecordSays(): void
    {
        foreach ([[0.3, 0.2], [0.3, 0.5], [0.08, 0.25], [0.5, 0.25], [0.85, 0.05]] as [$facility, $guess]) {
            [$difficulty, $guessed] = Rehearsal::calibrated($facility, 0.05, $guess);
            self::assertLessThanOrEqual($guess, $guessed);
            $found = Rehearsal::of(
                PaperReader::read(self::paper(4, null)),
                array_fill_keys(self::all(), $difficulty),
                self::marked(),
                800,
                'record',
                0.05,
                $guessed,
            );
            $share = array_sum(array_map(static fn (array $f): float => $f['share'] * $f['students'], $found->byAbility)) / 800;
            // Of some five thousand answers, those of one student hanging together.
            self::assertEqualsWithDelta($facility, $share, 0.035, "$facility, $guess");
        }
        self::assertSame([Rehearsal::calibrated(1.0)[0]], [Rehearsal::calibrated(0.95)[0]]);
        self::assertGreaterThan(Rehearsal::calibrated(0.5, 0.05, 0.2)[0], Rehearsal::calibrated(0.5, 0.05, 0.4)[0]);
    }

    public function testWhoIsSentDownByAWrongIdeaIsSentRightly(): void
    {
        $found = Rehearsal::of(
            PaperReader::read(self::paper(4)),
            array_fill_keys(self::all(), -20.0),
            self::marked(),
            200,
            'a',
            0.0,
            0.0,
            ['even' => ['share' => 1.0, 'entries' => ['e1', 'e2', 'e3']]],
        );
        self::assertSame([200, 0, 0], self::misled($found));
    }

    public function testARouteByAConditionGetsItsFigures(): void
    {
        $paper = self::paper(4, out: ['when' => 'q1 + q2 < 2', 'then' => 's2', 'else' => 's3']);
        $sit = static fn (float $slip, float $guess): array => Rehearsal::of(
            PaperReader::read($paper),
            [],
            self::marked(),
            1000,
            'a',
            $slip,
            $guess,
        )->routes['s1'];
        [$lucky, $careless] = [$sit(0.0, 0.6), $sit(0.6, 0.0)];
        self::assertSame(1000, $lucky['students']);
        self::assertGreaterThan(3 * $lucky['below'], $lucky['above']);
        self::assertGreaterThan(3 * $careless['above'], $careless['below']);
    }

    public function testWhereNothingCanBeGuessedFewerGoOn(): void
    {
        $on = static fn (float $guess): int => self::ways(Rehearsal::of(
            PaperReader::read(self::paper(4)),
            array_fill_keys(self::all(), 3.0),
            self::marked(),
            400,
            'a',
            0.0,
            0.5,
            guesses: array_fill_keys(self::all(), $guess),
        ))['s1 s3'] ?? 0;
        self::assertGreaterThan(4 * $on(0.0), $on(0.5));
    }

    public function testTheCutThatSortsBestIsFoundAndMoreQuestionsSortBetter(): void
    {
        // Guessing lifts shares above what is known, so that a higher cut sorts better.
        $route = Rehearsal::of(PaperReader::read(self::paper(8)), [], self::marked(), 2000, 'a', 0.0, 0.4)->routes['s1'];
        $wrong = array_column($route['cuts'], 'wrong', 'share');

        self::assertSame('1/2', $route['cut']);
        self::assertSame($route['below'] + $route['above'], $wrong['1/2'], 'the present cut misplaces those who are misled');
        self::assertSame(min($wrong), $wrong['3/4']);
        self::assertLessThan($wrong['1/2'] / 1.4, $wrong['3/4']);
        self::assertSame($route['below'] + $route['above'], array_sum(array_column($route['exits'], 'wrong')));
        $short = Rehearsal::of(PaperReader::read(self::paper(4)), [], self::marked(), 2000, 'a', 0.0, 0.0)->routes['s1'];
        self::assertLessThan($short['below'] + $short['above'], $short['withTwoMore']);
    }

    public function testWhoGoesEachWayIsToldByAbility(): void
    {
        $exits = Rehearsal::of(PaperReader::read(self::paper(8)), [], self::marked(), 1000, 'a')->routes['s1']['exits'];
        $means = array_map(static function (array $e): float {
            $sum = 0.0;
            foreach ($e['abilities'] as $range => $n) {
                $sum += $n * ($range / 2 - 2.75);
            }

            return $sum / $e['students'];
        }, $exits);

        self::assertSame(['s2', 's3'], array_column($exits, 'to'));
        self::assertSame(array_column($exits, 'students'), array_map(static fn (array $e): int => array_sum($e['abilities']), $exits));
        self::assertGreaterThan($means[0] + 0.8, $means[1]);
    }

    public function testALoopIsGoneAsOftenAsItMay(): void
    {
        $paper = self::paper(2, out: ['exits' => [['when' => 'share < 1', 'to' => 's1', 'rounds' => 2]], 'else' => 's3']);
        $found = Rehearsal::of(PaperReader::read($paper), array_fill_keys(self::all(), 20.0), self::marked(), 40, 'a', 0.0, 0.0);

        self::assertSame(['s1 s1 s1 s3' => 40], self::ways($found));
        self::assertSame([120, 0, 0], self::misled($found), 'each leaves three times');
        self::assertSame([80, 40], array_column($found->routes['s1']['exits'], 'students'));
        $lucky = Rehearsal::of(PaperReader::read($paper), [], self::marked(), 400, 'a', 0.0, 0.4)->routes['s1'];
        self::assertSame(
            $lucky['below'] + $lucky['above'],
            array_column($lucky['cuts'], 'wrong', 'share')[1] ?? null,
            'a cut that is spent misplaces nobody',
        );
    }

    /** @return array<string, int> students by the ids of the sections they entered */
    private static function ways(Rehearsal $found): array
    {
        return array_combine(
            array_map(static fn (array $w): string => implode(' ', $w['way']), $found->ways),
            array_column($found->ways, 'students'),
        );
    }

    /** @return array{int, int, int} students that left the first section, sent below their level, above it */
    private static function misled(Rehearsal $found): array
    {
        $route = $found->routes['s1'];

        return [$route['students'], $route['below'], $route['above']];
    }

    public function testALongerWayTakesLonger(): void
    {
        $found = Rehearsal::of(PaperReader::read(self::paper(4)), [], self::marked(), 400, 'a', seconds: array_fill_keys(self::all(), 30.0));
        self::assertSame([180.0, 240.0], [$found->seconds[0], $found->seconds[2]], 'six questions or eight');
        self::assertContains($found->seconds[1], [180.0, 240.0]);
        self::assertSame([0.0, 0.0, 0.0], self::rehearse('a')->seconds, 'no times are known');
    }

    public function testAPaperThatNeverEndsIsNotSat(): void
    {
        $paper = PaperReader::read(self::paper(4, ['below' => '1/2', 'then' => 's1', 'else' => 's1']));
        $this->expectException(\DomainException::class);
        Rehearsal::of($paper, [], self::marked(), 10, 'a');
    }

    /** @param array<string, float> $difficulty */
    private static function rehearse(string $seed, int $students = 300, array $difficulty = []): Rehearsal
    {
        return Rehearsal::of(PaperReader::read(self::paper(4)), $difficulty, self::marked(), $students, $seed);
    }

    private static function marked(int $questions = 8): MachineMarked
    {
        return new MachineMarked(array_map(static fn (int $i): string => "e$i", range(1, $questions)));
    }

    /** @return list<string> */
    private static function all(): array
    {
        return ['e1', 'e2', 'e3', 'e4', 'e5', 'e6', 'e7', 'e8'];
    }

    /**
     * @param array<string, mixed>|null $back the route after the second section
     * @param array<string, mixed>      $out  the route after the first
     *
     * @return array<string, mixed>
     */
    private static function paper(
        int $first,
        ?array $back = null,
        array $out = ['below' => '1/2', 'then' => 's2', 'else' => 's3'],
    ): array {
        $entries = static fn (int $from, int $to): array => array_map(
            static fn (int $i): array => ['id' => "e$i", 'kind' => 'question', 'item' => "i$i", 'points' => '1'],
            range($from, $to),
        );

        return ['version' => 1, 'title' => 'Rehearsed', 'mastery' => null, 'sections' => [
            [
                'id' => 's1',
                'title' => 'First look',
                'entries' => $entries(1, $first),
                'route' => $out,
            ],
            ['id' => 's2', 'title' => 'Second look', 'entries' => $entries($first + 1, $first + 2), 'route' => $back],
            ['id' => 's3', 'title' => 'Further out', 'entries' => $entries($first + 3, $first + 4), 'route' => null],
        ]];
    }
}
