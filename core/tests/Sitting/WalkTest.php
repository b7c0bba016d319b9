<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Draw;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\AttemptRule;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Turn;
use ChalkLadder\Core\Sitting\Walk;
use PHPUnit\Framework\TestCase;

final class WalkTest extends TestCase
{
    public function testBelowTheCutTheSecondLookComesNext(): void
    {
        $paper = self::paper();
        $walk = self::walk($paper)->leave(
            $paper,
            new Conditions(),
            'seed',
            ['e1' => [1 => self::credit('1')], 'e2' => [1 => self::credit('0')]],
            self::marked(),
        );
        self::assertSame('s3', $walk->current()?->section, 'half is not below half');

        $walk = self::walk($paper)->leave($paper, new Conditions(), 'seed', ['e1' => [1 => self::credit('1/2')]], self::marked());
        self::assertSame('s2', $walk->current()?->section);
        $walk = $walk->leave($paper, new Conditions(), 'seed', [], self::marked());
        self::assertSame('s3', $walk->current()?->section);
        $walk = $walk->leave($paper, new Conditions(), 'seed', [], self::marked());
        self::assertTrue($walk->ended);
        self::assertNull($walk->current());
    }

    public function testMissedQuestionsComeBackAtMostTwiceAndLaterTriesEarnLess(): void
    {
        $paper = self::paper(['returns' => 2, 'credits' => ['1', '1/2', '1/4']]);
        $outcomes = ['e1' => [1 => self::credit('1')], 'e2' => [1 => self::credit('0')]];
        $walk = self::walk($paper)->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        self::assertSame(['e2'], $walk->current()?->entries);
        self::assertSame(2, $walk->current()->try);

        $outcomes['e2'][2] = self::credit('1/2');
        $walk = $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        self::assertSame(3, $walk->current()?->try, 'part credit is not right yet');

        $outcomes['e2'][3] = self::credit('1');
        self::assertSame('s3', $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked())->current()?->section);
        self::assertSame(
            '1/4',
            (string) Walk::bestCredit($paper, [1 => BigRational::zero(), 2 => BigRational::of('1/2'), 3 => BigRational::one()]),
        );
        self::assertSame('1/2', (string) Walk::bestCredit($paper, [1 => BigRational::zero(), 2 => BigRational::one()]));
    }

    public function testAMendedKeyMendsTheWayWhereNobodyHasGoneOn(): void
    {
        $paper = self::paper(['returns' => 2, 'credits' => ['1', '1/2', '1/4']]);
        $wrong = ['e1' => [1 => self::credit('0')], 'e2' => [1 => self::credit('0')]];
        $walk = self::walk($paper)->leave($paper, new Conditions(), 'seed', $wrong, self::marked());
        self::assertSame(['e1', 'e2'], $walk->current()?->entries);

        $one = ['e1' => [1 => self::credit('1')]] + $wrong;
        self::assertSame(['e2'], self::mended($walk, $paper, $one, [])->current()?->entries, 'what is right by now does not come back');
        self::assertSame(2, self::mended($walk, $paper, $one, [])->current()->try);
        self::assertSame(['e2'], self::mended($walk, $paper, $one, ['e2'])->current()?->entries);
        self::assertSame(['e1', 'e2'], self::mended($walk, $paper, $one, ['e1'])->current()?->entries, 'what was answered stays');

        $both = ['e1' => [1 => self::credit('1')], 'e2' => [1 => self::credit('1')]];
        self::assertSame('s3', self::mended($walk, $paper, $both, [])->current()?->section);
        self::assertSame(['e1'], self::mended($walk, $paper, $both, ['e1'])->current()?->entries);
        self::assertEquals($walk, self::mended($walk, $paper, $wrong, []));
    }

    public function testALoopAsksTheSectionAnewUntilItsRoundsAreSpent(): void
    {
        $paper = self::loop(null);
        $walk = self::walk($paper);
        $wrong = static fn (int $tries): array => [
            'e1' => array_fill(1, $tries, self::credit('0')),
            'e2' => array_fill(1, $tries, self::credit('1')),
        ];
        foreach ([1, 2] as $round) {
            $walk = $walk->leave($paper, new Conditions(), 'seed', $wrong($round), self::marked());
            self::assertSame(['e1', 'e2'], $walk->current()?->entries, 'all of it comes again, right or wrong');
            self::assertSame([$round + 1, $round + 1], [$walk->current()->try, $walk->current()->round]);
            self::assertFalse($walk->returns());
            self::assertEquals($walk, Walk::fromArray($walk->toArray()));
        }
        self::assertSame([0], $walk->usedUp($paper->sections[0]));
        self::assertSame('s2', $walk->leave($paper, new Conditions(), 'seed', $wrong(3), self::marked())->current()?->section);
        $right = ['e1' => [1 => self::credit('1')]] + $wrong(1);
        self::assertSame('s2', self::walk($paper)->leave($paper, new Conditions(), 'seed', $right, self::marked())->current()?->section);
    }

    public function testMissedQuestionsComeBackInEachRoundOfALoop(): void
    {
        $paper = self::loop(['returns' => 1, 'credits' => ['1', '1/2']]);
        $outcomes = ['e1' => [], 'e2' => []];
        $walk = self::walk($paper);
        $asked = [];
        while (($visit = $walk->current())?->section === 's1') {
            $asked[] = implode('', $visit->entries).$visit->try.($walk->returns() ? 'r' : '');
            foreach ($visit->entries as $entry) {
                $outcomes[$entry][$visit->try] = self::credit($entry === 'e2' ? '1' : '0');
            }
            $walk = $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        }

        self::assertSame(['e1e21', 'e12r', 'e1e23', 'e14r', 'e1e25', 'e16r'], $asked);
        self::assertSame('s2', $walk->current()?->section);
    }

    public function testAMendedKeyTakesARoundBackThatIsNotBegun(): void
    {
        $paper = self::loop(null);
        $wrong = ['e1' => [1 => self::credit('0')], 'e2' => [1 => self::credit('1')]];
        $again = self::walk($paper)->leave($paper, new Conditions(), 'seed', $wrong, self::marked());
        $right = ['e1' => [1 => self::credit('1')]] + $wrong;

        self::assertSame('s2', self::mended($again, $paper, $right, [])->current()?->section);
        self::assertEquals($again, self::mended($again, $paper, $right, ['e1']), 'whoever has begun the round goes on with all of it');
    }

    /** @param array<string, mixed>|null $mastery */
    private static function loop(?array $mastery): Paper
    {
        return PaperReader::read(['version' => 1, 'title' => 't', 'mastery' => $mastery, 'sections' => [
            [
                'id' => 's1',
                'title' => 'First',
                'route' => ['exits' => [['when' => 'share < 1', 'to' => 's1', 'rounds' => 2]], 'else' => 's2'],
                'entries' => [self::entry('e1'), self::entry('e2')],
            ],
            ['id' => 's2', 'title' => 'Second', 'route' => null, 'entries' => [self::entry('e3')]],
        ]]);
    }

    /**
     * @param array<string, array<int, Outcome>> $outcomes
     * @param list<string>                       $answered
     */
    private static function mended(Walk $walk, Paper $paper, array $outcomes, array $answered): Walk
    {
        return $walk->mended($paper, new Conditions(), 'seed', $outcomes, self::marked(), $answered);
    }

    public function testAMendedKeyChangesTheSectionThatIsNotBegunYet(): void
    {
        $paper = self::paper();
        $walk = self::walk($paper)->leave($paper, new Conditions(), 'seed', ['e1' => [1 => self::credit('1/2')]], self::marked());
        self::assertSame('s2', $walk->current()?->section);
        $now = ['e1' => [1 => self::credit('1')]];

        self::assertSame('s3', $walk->mended($paper, new Conditions(), 'seed', $now, self::marked(), [])->current()?->section);
        self::assertEquals(
            $walk,
            $walk->mended($paper, new Conditions(), 'seed', $now, self::marked(), ['e3']),
            'whoever has begun it stays',
        );
        self::assertEquals(
            self::walk($paper),
            self::walk($paper)->mended($paper, new Conditions(), 'seed', $now, self::marked(), []),
            'nothing led to the first',
        );
    }

    public function testWhatAMarkerMustReadNeitherReturnsNorRoutes(): void
    {
        $paper = self::paper(['returns' => 1, 'credits' => ['1']]);
        $walk = self::walk($paper)->leave(
            $paper,
            new Conditions(),
            'seed',
            ['e1' => [1 => self::credit('1')], 'e2' => [1 => Outcome::byHand('5 words')]],
            new MachineMarked(['e1', 'e3', 'e4']),
        );

        self::assertSame('s3', $walk->current()?->section, 'all of what a machine marks is right');
    }

    public function testOnlyTheOpenPassMayChange(): void
    {
        $paper = self::paper();
        $walk = self::walk($paper);
        self::assertTrue($walk->isOpen('e1', 1));
        self::assertFalse($walk->isOpen('e1', 2));
        $walk = $walk->leave($paper, new Conditions(), 'seed', [], self::marked());
        self::assertFalse($walk->isOpen('e1', 1));
        self::assertTrue($walk->isOpen('e3', 1));
    }

    public function testAWalkSurvivesBeingStored(): void
    {
        $paper = self::paper();
        $walk = self::walk($paper)->leave($paper, new Conditions(), 'seed', [], self::marked());
        self::assertEquals($walk, Walk::fromArray($walk->toArray()));
    }

    public function testShufflingIsStableForASeedAndKeepsSourcesInPlace(): void
    {
        $entries = ['a', 'b', 'c', 'd', 'e', 'f'];
        self::assertSame(Draw::order($entries, 'x', 'p'), Draw::order($entries, 'x', 'p'));
        $sorted = Draw::order($entries, 'x', 'p');
        sort($sorted);
        self::assertSame($entries, $sorted);
        // The same on every machine: these orders were drawn once and must not change.
        self::assertSame('e d f b c a', implode(' ', Draw::order($entries, 'one', 'p')));

        $paper = PaperReader::read(['version' => 1, 'title' => 't', 'mastery' => null,
            'sections' => [['id' => 's1', 'title' => '', 'route' => null, 'entries' => [
                self::entry('e1'), self::entry('e2'), [
                    'id' => 'src',
                    'kind' => 'source',
                    'source' => ['title' => 'Log'],
                ], self::entry('e3'), self::entry('e4'), self::entry('e5'),
            ]]]]);
        $orders = [];
        foreach (range(1, 20) as $seed) {
            $shown = Walk::start($paper, new Conditions(shuffleQuestions: true), (string) $seed)->current()->entries ?? [];
            self::assertSame('src', $shown[2]);
            $orders[implode('', $shown)] = true;
        }
        self::assertGreaterThan(3, count($orders));
    }

    public function testOneStudentCountsOnceByTheStatedRule(): void
    {
        $marks = [1 => 4.0, 2 => 7.0, 3 => 7.0, 4 => 5.0];
        self::assertSame([2], AttemptRule::Best->counting($marks));
        self::assertSame([4], AttemptRule::Latest->counting($marks));
        self::assertSame([1], AttemptRule::First->counting($marks));
        self::assertSame([1, 2, 3, 4], AttemptRule::Mean->counting(array_reverse($marks, true)));
    }

    public function testARouteMayAskForMoreThanAShare(): void
    {
        $paper = PaperReader::read(['version' => 1, 'title' => 't', 'mastery' => null, 'sections' => [
            [
                'id' => 's1',
                'title' => 'First',
                'route' => ['when' => 'q2 < 1 and share >= 0.5', 'then' => 's2', 'else' => 'end'],
                'entries' => [self::entry('e1'), self::entry('e2')],
            ],
            ['id' => 's2', 'title' => 'Second', 'route' => null, 'entries' => [self::entry('e3')]],
        ]]);
        $to = static fn (string $e1, string $e2): ?string => self::walk($paper)->leave(
            $paper,
            new Conditions(),
            'seed',
            ['e1' => [1 => self::credit($e1)], 'e2' => [1 => self::credit($e2)]],
            self::marked(),
        )->current()?->section;

        self::assertSame('s2', $to('1', '0'));
        self::assertSame('s2', $to('1', '1/2'));
        self::assertNull($to('1', '1'));
        self::assertNull($to('0', '1/2'));
        self::assertSame($paper->toArray(), PaperReader::read($paper->toArray())->toArray());
    }

    public function testHandingInIsTheNextActOnceNothingCanComeBackOrFollow(): void
    {
        $paper = self::paper(['returns' => 1, 'credits' => ['1']]);
        $right = ['e1' => [1 => self::credit('1')], 'e2' => [1 => self::credit('1')]];
        self::assertTrue(self::walk($paper)->mayGoOn($paper, self::marked()));

        $last = self::walk($paper)->leave($paper, new Conditions(), 'seed', $right, self::marked());
        self::assertTrue($last->mayGoOn($paper, self::marked()), 'e4 can come back');
        self::assertFalse($last->mayGoOn($paper, new MachineMarked(['e1', 'e2', 'e3'])), 'nothing that a marker reads comes back');
    }

    public function testStatusSaysWhoseTurnItIs(): void
    {
        self::assertSame(Turn::Student, SittingState::Open->turn());
        self::assertSame(Turn::Marker, SittingState::afterMarking(true)->turn());
        self::assertSame(Turn::Nobody, SittingState::afterMarking(false)->turn());
    }

    /** @param array<string, mixed>|null $mastery */
    private static function paper(?array $mastery = null): Paper
    {
        return PaperReader::read(['version' => 1, 'title' => 't', 'mastery' => $mastery, 'sections' => [
            [
                'id' => 's1',
                'title' => 'First',
                'route' => ['below' => '1/2', 'then' => 's2', 'else' => 's3'],
                'entries' => [self::entry('e1'), self::entry('e2')],
            ],
            ['id' => 's2', 'title' => 'Second', 'route' => null, 'entries' => [self::entry('e3')]],
            ['id' => 's3', 'title' => 'Third', 'route' => null, 'entries' => [self::entry('e4')]],
        ]]);
    }

    /** @return array<string, string> */
    private static function entry(string $id): array
    {
        return ['id' => $id, 'kind' => 'question', 'item' => 'i-'.$id, 'points' => '2'];
    }

    private static function walk(Paper $paper): Walk
    {
        return Walk::start($paper, new Conditions(), 'seed');
    }

    private static function credit(string $credit): Outcome
    {
        return Outcome::of(BigRational::of($credit), '', '');
    }

    private static function marked(): MachineMarked
    {
        return new MachineMarked(['e1', 'e2', 'e3', 'e4']);
    }
}
