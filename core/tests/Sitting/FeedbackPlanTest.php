<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeedbackPlanTest extends TestCase
{
    public function testWorkPassesTheMomentsInTheirOrder(): void
    {
        self::assertSame(ToldFrom::AtOnce, ToldFrom::reached(SittingState::Expected, false));
        self::assertSame(ToldFrom::AtOnce, ToldFrom::reached(SittingState::Open, true), 'open again: it waits for its own handing in');
        self::assertSame(ToldFrom::HandedIn, ToldFrom::reached(SittingState::HandedIn, false));
        self::assertSame(ToldFrom::HandedIn, ToldFrom::reached(SittingState::Marked, false), 'marked is the teachers’ business');
        self::assertSame(ToldFrom::Closed, ToldFrom::reached(SittingState::HandedIn, true));
        self::assertSame(ToldFrom::Closed, ToldFrom::reached(SittingState::Marked, true));
        self::assertSame(ToldFrom::Returned, ToldFrom::reached(SittingState::Returned, false), 'given back before the others are done');
    }

    public function testEachThingIsToldFromItsMomentOnAndStaysTold(): void
    {
        $moments = [ToldFrom::AtOnce, ToldFrom::HandedIn, ToldFrom::Closed, ToldFrom::Returned];
        foreach ($moments as $i => $from) {
            $plan = FeedbackPlan::of(key: $from, marks: ToldFrom::Never);
            foreach ($moments as $j => $reached) {
                self::assertSame($j >= $i, $plan->tells(Told::Key, $reached), "$from->value by $reached->value");
                self::assertFalse($plan->tells(Told::Marks, $reached));
            }
        }
    }

    public function testAnswersAreSettledOnlyWhereSomethingIsToldOfThemAtOnce(): void
    {
        self::assertFalse(FeedbackPlan::onReturn()->settles());
        foreach (array_diff(array_column(Told::cases(), 'value'), ['classPicture']) as $thing) {
            self::assertTrue(FeedbackPlan::fromArray([$thing => 'at once'])->settles(), $thing);
        }
    }

    public function testWhatIsNotSaidIsToldOnReturnButForTheClass(): void
    {
        $plan = FeedbackPlan::fromArray(['verdict' => 'closed']);
        self::assertSame([
            'verdict' => 'closed',
            'feedback' => 'returned',
            'marks' => 'returned',
            'key' => 'returned',
            'workedAnswer' => 'returned',
            'classPicture' => 'never',
        ], $plan->toArray());
        self::assertEquals($plan, FeedbackPlan::fromArray($plan->toArray()));
    }

    /** @return iterable<string, array{array<string, mixed>, non-empty-string}> */
    public static function faulty(): iterable
    {
        yield 'no moment' => [['key' => 'on Friday'], 'feedback.key'];
        yield 'no text' => [['marks' => 3], 'feedback.marks'];
        yield 'the class before all are in' => [['classPicture' => 'handed in'], 'feedback.classPicture'];
        yield 'no thing' => [['rank' => 'closed'], 'feedback'];
    }

    /**
     * @param array<string, mixed> $json
     * @param non-empty-string     $path
     */
    #[DataProvider('faulty')]
    public function testWhatIsNoPlanIsRefusedWithItsPlace(array $json, string $path): void
    {
        try {
            FeedbackPlan::fromArray($json);
            self::fail('taken');
        } catch (DocumentInvalid $e) {
            self::assertStringStartsWith($path, $e->problems[0]->path);
        }
    }

    public function testAStudentIsToldWhatIsStillToCome(): void
    {
        $plan = FeedbackPlan::of(
            ToldFrom::HandedIn,
            ToldFrom::HandedIn,
            ToldFrom::Closed,
            ToldFrom::Returned,
            ToldFrom::Returned,
            ToldFrom::Closed,
        );
        self::assertSame(
            'Marks and how the class did come when everybody is done. The key and the worked answer come when your teacher gives the work back.',
            $plan->comes(ToldFrom::HandedIn),
        );
        self::assertSame('The key and the worked answer come when your teacher gives the work back.', $plan->comes(ToldFrom::Closed));
        self::assertSame('', $plan->comes(ToldFrom::Returned));
        self::assertSame('The key comes when everybody is done.', FeedbackPlan::of(...array_fill(0, 3, ToldFrom::Never), ...[
            'key' => ToldFrom::Closed,
            'workedAnswer' => ToldFrom::Never,
        ])->comes(ToldFrom::HandedIn));
    }

    public function testAPlanThatKeepsToItselfHasNothingToBeSaidOf(): void
    {
        self::assertSame([], FeedbackPlan::onReturn()->concerns());
        self::assertSame([], FeedbackPlan::of(ToldFrom::AtOnce, ToldFrom::AtOnce)->concerns(returns: true));
        $closed = array_fill(0, 6, ToldFrom::Closed);
        self::assertSame([], FeedbackPlan::of(...$closed)->concerns(attempts: 3));
    }

    /** @return iterable<string, array{FeedbackPlan, array{bool, int, bool}, string}> */
    public static function doubtful(): iterable
    {
        $plain = [false, 1, true];
        yield 'marks first' => [FeedbackPlan::of(marks: ToldFrom::Closed), $plain, 'Marks say whether an answer is right, earlier than “right or wrong” does.'];
        yield 'feedback first' => [
            FeedbackPlan::of(verdict: ToldFrom::Never, marks: ToldFrom::Never, key: ToldFrom::Never, workedAnswer: ToldFrom::Never),
            $plain,
            'Feedback says whether an answer is right, earlier than “right or wrong” does.',
        ];
        yield 'key to whoever is in' => [
            FeedbackPlan::of(ToldFrom::HandedIn, key: ToldFrom::HandedIn),
            $plain,
            'The key is out while others still sit: whoever is told can pass it on.',
        ];
        yield 'worked answer too' => [
            FeedbackPlan::of(ToldFrom::AtOnce, key: ToldFrom::AtOnce, workedAnswer: ToldFrom::HandedIn),
            $plain,
            'The key and the worked answer are out while others still sit: whoever is told can pass it on.',
        ];
        yield 'again after the key' => [
            FeedbackPlan::of(ToldFrom::HandedIn, key: ToldFrom::HandedIn),
            [false, 2, true],
            'With more than one attempt, the next begins with what was told of the one before.',
        ];
        yield 'comes back after the key' => [
            FeedbackPlan::of(ToldFrom::AtOnce, key: ToldFrom::AtOnce),
            [true, 1, true],
            'Missed questions come back here, after their key was told: the second try shows what was read, not what is known.',
        ];
        yield 'coming back tells' => [
            FeedbackPlan::onReturn(),
            [true, 1, true],
            'Missed questions come back here: whatever is told, meeting a question again says that the first answer was not right.',
        ];
        yield 'closed by nobody' => [
            FeedbackPlan::of(verdict: ToldFrom::Closed, marks: ToldFrom::Closed),
            [false, 1, false],
            'No closing time is set: right or wrong and marks wait until you close the handout yourself.',
        ];
    }

    /** @param array{bool, int, bool} $with */
    #[DataProvider('doubtful')]
    public function testWhatGivesAThingAwayIsSaid(FeedbackPlan $plan, array $with, string $sentence): void
    {
        self::assertContains($sentence, $plan->concerns(...$with));
    }
}
