<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\RankParts;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Analysis\Rungs;
use PHPUnit\Framework\TestCase;

final class ReportTest extends TestCase
{
    public function testOmittedAndNotReachedAreToldApart(): void
    {
        self::assertSame(
            [Cell::Answered, Cell::Omitted, Cell::Answered, Cell::NotReached, Cell::NotReached],
            Cell::ofOrder([true, false, true, false, false]),
        );
        self::assertSame([Cell::NotReached], Cell::ofOrder([false]));
    }

    public function testThirdsSplitTiesFairly(): void
    {
        $thirds = RankParts::weights([1.0, 1.0, 1.0, 1.0, 2.0, 3.0], [[0.0, 1 / 3], [1 / 3, 2 / 3], [2 / 3, 1.0]]);
        foreach ($thirds as $weights) {
            self::assertEqualsWithDelta(2.0, array_sum($weights), 1e-12);
        }
        self::assertEqualsWithDelta([0 => 0.5, 1 => 0.5, 2 => 0.5, 3 => 0.5], $thirds[0], 1e-12);
        self::assertEqualsWithDelta([4 => 1.0, 5 => 1.0], $thirds[2], 1e-12);
    }

    public function testARunOfTiesThatACutGoesThroughIsSharedOut(): void
    {
        [$third, $split] = RankParts::thirds([1.0, 1.0, 1.0, 1.0, 2.0, 3.0]);
        self::assertSame([-1, -1, -1, -1, 2, 2], $third);
        foreach ([0, 1, 2, 3] as $s) {
            self::assertEqualsWithDelta([0 => 0.5, 1 => 0.5], $split[$s], 1e-12);
        }
        self::assertSame([0, 0, 1, 1, 2, 2], RankParts::thirds([1.0, 2.0, 3.0, 4.0, 5.0, 6.0])[0]);
        $inside = RankParts::thirds([1.0, 2.0, 2.0, 2.0, 2.0, 3.0])[1][1];
        self::assertEqualsWithDelta([0 => 0.25, 1 => 0.5, 2 => 0.25], $inside, 1e-12);
    }

    public function testAMisKeyedQuestionIsFoundWithItsEvidence(): void
    {
        [$easy, $trap] = self::questions(static fn (int $s): string => $s < 5 ? 'a' : 'b', 'a');
        $flags = Report::of([$easy, $trap], 30)->questions[1]->flags;

        self::assertSame(Flag::MIS_KEYED, $flags[0]->kind);
        self::assertSame('b', $flags[0]->option);
        self::assertSame('In the upper third, 10 took this option and 0 took the key. Taking it goes with doing well elsewhere (r = 0.65), taking the key does not (r = -0.65, n = 30).', $flags[0]->evidence);
        self::assertSame(Flag::BACKWARDS, $flags[1]->kind);
    }

    public function testTwoReadingsAreFoundWhereTheUpperHalfIsSplit(): void
    {
        [$easy, $split] = self::questions(static fn (int $s): string => $s % 2 === 0 ? 'a' : 'b', 'a');
        $flags = Report::of([$easy, $split], 30)->questions[1]->flags;

        self::assertSame([Flag::TWO_READINGS], array_map(static fn (Flag $f): string => $f->kind, $flags));
        // P(share > 0.3 | Beta(9, 8)) = 1 - I_0.3(9, 8) = 0.974.
        self::assertStringContainsString('7 took the key and 8 took this option', $flags[0]->evidence);
        self::assertStringContainsString('is 97 % probable (Beta(1, 1) prior, n = 30)', $flags[0]->evidence);
    }

    public function testASoundQuestionHasNoFlag(): void
    {
        [$easy, $sound] = self::questions(static fn (int $s): string => $s < 10 ? 'b' : 'a', 'a');
        self::assertSame([], Report::of([$easy, $sound], 30)->questions[1]->flags);
    }

    public function testSmallSamplesSayFew(): void
    {
        $question = new Question('q', 1.0, [], array_fill(0, 4, Cell::Answered), [1.0, 0.0, 1.0, 1.0], [[], [], [], []]);
        $report = Report::of([$question], 4)->questions[0];

        self::assertSame('few', $report->facility->note);
        self::assertSame([Flag::FEW], array_map(static fn (Flag $f): string => $f->kind, $report->flags));
    }

    public function testWhatWaitsOrWasNotReachedDoesNotCount(): void
    {
        $question = new Question(
            'q',
            2.0,
            [],
            [Cell::Answered, Cell::Omitted, Cell::NotReached, Cell::Waiting, Cell::NotGiven],
            [1.0, 0.0, null, null, null],
            [[], [], [], [], []],
        );
        $report = Report::of([$question], 5);

        self::assertSame(2, $report->questions[0]->facility->n);
        self::assertSame(0.5, $report->questions[0]->facility->value);
        self::assertSame([1, 1, 1], [$report->questions[0]->omitted, $report->questions[0]->notReached, $report->questions[0]->waiting]);
        self::assertSame([2.0, 0.0, 0.0, 0.0, 0.0], $report->totals);
        self::assertSame([1.0, 0.0, 0.0, 0.0, 0.0], $report->shares);
    }

    public function testThoseWhoWaitForAMarkerDidReachTheQuestion(): void
    {
        $flags = static function (int $waiting): array {
            $cells = [...array_fill(0, $waiting, Cell::Waiting), Cell::NotReached];
            $question = new Question('q', 4.0, [], $cells, array_fill(0, $waiting + 1, null), array_fill(0, $waiting + 1, []));

            return array_map(static fn (Flag $f): string => $f->evidence, Report::of([$question], $waiting + 1)->questions[0]->flags);
        };
        self::assertSame([], $flags(45));
        self::assertSame(['1 of 6 did not come this far.'], $flags(5));
    }

    public function testNoStudentAndConstantAnswersGiveReasonsNotNumbers(): void
    {
        $none = Report::of([new Question('q', 1.0, ['a' => true, 'b' => false], [], [], [])], 0);
        self::assertNull($none->mean->value);
        self::assertNull($none->questions[0]->facility->value);
        self::assertNotNull($none->questions[0]->facility->note);

        $constant = Report::of(
            [new Question('q', 1.0, [], array_fill(0, 12, Cell::Answered), array_fill(0, 12, 1.0), array_fill(0, 12, []))],
            12,
        );
        self::assertNull($constant->questions[0]->itemRest->value);
        self::assertSame('All have the same credit, so nothing can go with it.', $constant->questions[0]->itemRest->note);
    }

    public function testEvidenceOfAMisconception(): void
    {
        // Beta(1 + 2, 3 + 1): mean 3/7.
        $likely = Evidence::of(2, 3);
        self::assertEqualsWithDelta(3 / 7, $likely->rate->value ?? 0.0, 1e-12);
        self::assertTrue($likely->likely);
        self::assertFalse(Evidence::of(1, 1)->likely, 'once is not enough');
        self::assertFalse(Evidence::of(2, 9)->likely);
        self::assertLessThan($likely->rate->value, $likely->rate->low);
    }

    public function testRungsHaveLowerCuts(): void
    {
        $rungs = new Rungs();
        self::assertSame([1, 1, 2, 2, 3, 3], array_map($rungs->reached(...), [0.0, 0.49, 0.5, 0.7499, 0.75, 1.0]));
        self::assertSame(3, $rungs->reached(0.1 + 0.2 + 0.45), 'the last bit of arithmetic does not decide');
        self::assertSame('climbing', $rungs->name(2));
    }

    /**
     * An easy question that orders 30 students, and one whose picks follow a function of the place.
     *
     * @param \Closure(int): string $pick
     *
     * @return array{Question, Question}
     */
    private static function questions(\Closure $pick, string $key): array
    {
        $n = 30;
        $ladder = new Question(
            'ladder',
            10.0,
            [],
            array_fill(0, $n, Cell::Answered),
            array_map(static fn (int $s): float => (float) $s / $n, range(0, $n - 1)),
            array_fill(0, $n, []),
        );
        $picks = array_map(static fn (int $s): array => [$pick($s)], range(0, $n - 1));

        return [
            $ladder,
            new Question(
                'q',
                1.0,
                ['a' => $key === 'a', 'b' => $key === 'b'],
                array_fill(0, $n, Cell::Answered),
                array_map(static fn (array $p): float => $p[0] === $key ? 1.0 : 0.0, $picks),
                $picks,
            ),
        ];
    }
}
