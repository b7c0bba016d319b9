<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Confidence;
use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\Manner;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use PHPUnit\Framework\TestCase;

final class MannerTest extends TestCase
{
    public function testConfidenceIsHeldAgainstWhatWasRight(): void
    {
        $found = Confidence::of([[3, 1.0], [3, 1.0], [3, 0.0], [3, 1.0], [1, 0.0], [1, 0.5], [2, 1.0]]);
        self::assertSame([1, 2, 3], array_keys($found->byLevel));
        self::assertSame([0.25, 2], [$found->byLevel[1]->value, $found->byLevel[1]->n]);
        self::assertSame([0.25, 4], [$found->sureAndWrong->value, $found->sureAndWrong->n]);
        self::assertNull(Confidence::of([[1, 1.0]])->sureAndWrong->value);
    }

    public function testEachStudentIsHeldAgainstTheOthersOnTheSameQuestions(): void
    {
        $questions = [];
        foreach (range(1, 6) as $q) {
            // Twelve steady students, one who rushes, one who takes thrice as long.
            $questions[] = self::question("q$q", [...array_map(static fn (int $s): float => 40.0 + $s, range(0, 11)), 1.5, 130.0 + $q]);
        }
        $manners = Manner::of($questions, 14);

        self::assertSame(
            [...array_fill(0, 12, null), 'rushing', 'lagging'],
            array_map(static fn (Manner $m): ?string => $m->word, $manners),
        );
        self::assertSame([1.0, 6], [$manners[12]->rushed->value, $manners[12]->rushed->n]);
        self::assertSame(0.0, $manners[13]->rushed->value);
        self::assertEqualsWithDelta(1.5 / 46, $manners[12]->pace->value, 0.002);
        self::assertGreaterThan(2.5, $manners[13]->pace->low);
    }

    public function testAnUnknownTimeIsNoTime(): void
    {
        $question = self::question('q', [30.0, null, 50.0]);
        $silent = new Question('silent', 1.0, [], array_fill(0, 3, Cell::Answered), [1.0, 1.0, 0.0], [[], [], []]);
        [$first, $second] = Manner::of([$question, $silent], 3);

        self::assertSame([0.75, 1], [$first->pace->value, $first->pace->n]);
        self::assertSame([null, null, null], [$second->pace->value, $second->rushed->value, $second->word]);
        self::assertSame('No times are known.', $second->pace->note);
    }

    public function testOnlyAnswersThatCountAreHeldAgainstHowSureTheyWere(): void
    {
        $sure = new Question(
            'q1',
            1.0,
            [],
            [Cell::Answered, Cell::Omitted, Cell::Waiting, Cell::Answered],
            [0.0, 0.0, null, 0.5],
            [[], [], [], []],
            sure: [3, 3, 3, 3],
        );
        $unsure = new Question(
            'q2',
            1.0,
            [],
            array_fill(0, 4, Cell::Answered),
            [0.0, 1.0, 0.0, 1.0],
            [[], [], [], []],
            sure: [1, 3, 2, null],
        );
        $shares = array_map(
            static fn (Manner $m): array => [$m->sureAndWrong->value, $m->sureAndWrong->n],
            Manner::of([$sure, $unsure], 4),
        );

        self::assertSame([[1.0, 1], [0.0, 1], [null, 0], [0.0, 1]], $shares, 'part of the credit is not wrong');
    }

    public function testTheReportTellsMedianTimeRushingAndConfidenceOfAQuestion(): void
    {
        $n = 20;
        $credits = array_map(static fn (int $s): float => (float) ($s % 2), range(0, $n - 1));
        $picks = array_fill(0, $n, []);
        $timed = new Question(
            'timed',
            1.0,
            [],
            array_fill(0, $n, Cell::Answered),
            $credits,
            $picks,
            [...array_fill(0, 17, 20.0), 0.5, 0.5, 0.5],
            array_map(static fn (int $s): int => $s < 4 ? 3 : 1, range(0, $n - 1)),
        );
        $plain = new Question('plain', 1.0, [], array_fill(0, $n, Cell::Answered), array_reverse($credits), $picks);
        [$first, $second] = Report::of([$timed, $plain], $n)->questions;

        self::assertSame([20.0, 20.0, 20.0], [$first->medianTime->value, $first->medianTime->low, $first->medianTime->high]);
        self::assertSame(
            ['3 of 20 answered in less than 4.0 s: a fifth of the median time, or ten seconds.'],
            array_column(array_filter($first->flags, static fn (Flag $f): bool => $f->kind === Flag::RUSHED), 'evidence'),
        );
        self::assertSame([0.5, 4], [$first->confidence?->sureAndWrong->value, $first->confidence?->sureAndWrong->n]);
        self::assertSame([1 => 16, 3 => 4], array_map(static fn ($f): int => $f->n, $first->confidence->byLevel ?? []));
        self::assertSame([null, null], [$second->medianTime->value, $second->confidence]);
        self::assertSame([], array_filter($second->flags, static fn (Flag $f): bool => $f->kind === Flag::RUSHED));
    }

    /** @param list<float|null> $seconds */
    private static function question(string $id, array $seconds): Question
    {
        $n = count($seconds);

        return new Question(
            $id,
            1.0,
            [],
            array_fill(0, $n, Cell::Answered),
            array_map(static fn (int $s): float => (float) ($s % 2), range(0, $n - 1)),
            array_fill(0, $n, []),
            $seconds,
        );
    }
}
