<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Confidence;
use ChalkLadder\Core\Analysis\Difference;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\PersonFit;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\QuestionReport;
use ChalkLadder\Core\Analysis\Reliability;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Analysis\SkillShare;
use ChalkLadder\Core\Analysis\Speed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A figure below its least n says so, and stops saying so from there on. */
final class FewTest extends TestCase
{
    /** @return iterable<string, array{\Closure(int): Figure, int}> a figure of so many, and from how many it says nothing */
    public static function figures(): iterable
    {
        $half = static fn (int $n): array => array_map(static fn (int $i): float => (float) ($i % 2), range(1, $n));
        $rising = static fn (int $n): array => array_map(floatval(...), range(1, $n));
        $pairs = static fn (int $n): Agreement => new Agreement(
            [0.0, 1.0, 2.0],
            2,
            array_map(static fn (int $i): array => [(float) ($i % 3), (float) (($i + intdiv($i, 4)) % 3)], range(1, $n)),
        );
        yield 'facility' => [static fn (int $n): Figure => self::report($half($n))->facility, 10];
        yield 'item–rest correlation' => [static fn (int $n): Figure => self::report($half($n))->itemRest, 10];
        yield 'upper–lower' => [static fn (int $n): Figure => self::report($half($n))->upperLower, 10];
        yield 'median time' => [static fn (int $n): Figure => Speed::median($rising($n)), 10];
        yield 'rushed' => [static fn (int $n): Figure => Speed::rushed($rising($n), array_fill(0, $n, 2.0)), 10];
        yield 'pace' => [static fn (int $n): Figure => Speed::pace($rising($n), array_fill(0, $n, 2.0)), 5];
        yield 'skill of a student' => [static fn (int $n): Figure => SkillShare::of($half($n), 0.5)->share, 4];
        yield 'skill of a class' => [static fn (int $n): Figure => SkillShare::ofClass(array_fill(0, $n, [1.0, 0.0])), 10];
        yield 'misconception' => [static fn (int $n): Figure => Evidence::of(1, $n)->rate, 3];
        yield 'sure and wrong' => [static fn (int $n): Figure => Confidence::of(array_fill(0, $n, [3, 0.0]))->sureAndWrong, 10];
        yield 'between classes' => [static fn (int $n): Figure => Difference::between($rising($n), $rising(30)), 10];
        yield 'between classes, the other way' => [static fn (int $n): Figure => Difference::between($rising(30), $rising($n)), 10];
        yield 'before and after' => [static fn (int $n): Figure => Difference::paired($rising($n), $half($n)), 10];
        yield 'effect' => [static fn (int $n): Figure => Difference::effect($rising($n), $rising(30)), 10];
        yield 'share of agreement' => [static fn (int $n): Figure => $pairs($n)->share(0), 10];
        yield 'ICC' => [static fn (int $n): Figure => $pairs($n)->icc(), 10];
        yield 'κ by bootstrap' => [
            static fn (int $n): Figure => $pairs($n)->bootstrapped(static fn (Agreement $a): Figure => $a->kappa(), 'few', 50),
            20,
        ];
        yield 'reliability' => [static fn (int $n): Figure => Reliability::of([$half($n), $half($n), $rising($n)])->alpha, 10];
        yield 'error of measurement' => [static fn (int $n): Figure => Reliability::of([$half($n), $half($n), $rising($n)])->sem, 10];
        yield 'Guttman errors' => [
            static fn (int $n): Figure => PersonFit::guttman(new Binary(
                array_map(strval(...), range(1, $n)),
                [array_map(static fn (int $i): int => $i % 2, range(1, $n))],
            ))[0],
            10,
        ];
        yield 'pattern' => [
            static fn (int $n): Figure => PersonFit::standardised(
                array_map(static fn (int $i): int => $i % 2, range(1, $n)),
                array_map(static fn (int $i): float => $i / 4, range(1, $n)),
                0.5,
            ),
            10,
        ];
    }

    /** @param \Closure(int): Figure $figure */
    #[DataProvider('figures')]
    public function testSaysFewBelowItsLeastN(\Closure $figure, int $least): void
    {
        [$below, $at] = [$figure($least - 1), $figure($least)];

        self::assertNotNull($below->value);
        self::assertSame(['few', null], [$below->note, $at->note]);
        self::assertNotNull($at->value);
    }

    /** @param list<float> $credits */
    private static function report(array $credits): QuestionReport
    {
        $n = count($credits);
        $question = static fn (string $id, float ...$own): Question => new Question(
            $id,
            1.0,
            [],
            array_fill(0, $n, Cell::Answered),
            array_values($own),
            array_fill(0, $n, []),
        );
        $other = $credits;
        $other[0] = 1.0 - $other[0];

        return Report::of([$question('q', ...$credits), $question('other', ...$other)], $n)->questions[0];
    }
}
