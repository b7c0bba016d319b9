<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\ScoreChances;
use PHPUnit\Framework\TestCase;

final class RaschTest extends TestCase
{
    public function testTheClassicExampleAgreesWithTheLikelihoodMaximisedByEnumeration(): void
    {
        // Maximised independently over all 32 patterns by quasi-Newton (R's optim), to the digits printed there.
        $fit = Rasch::of(Lsat::data());

        self::assertSame([1000, 699], [$fit->n, $fit->counted], 'three have nothing right, 298 all');
        self::assertEqualsWithDelta(-1091.56969, $fit->logLikelihood, 1e-5);
        foreach ([-1.256129, 0.474906, 1.235984, 0.168411, -0.623172] as $i => $difficulty) {
            self::assertEqualsWithDelta($difficulty, $fit->questions[$i]['difficulty'], 2e-6);
        }
        foreach ([0.1044099, 0.0699169, 0.0687786, 0.0726189] as $i => $se) {
            self::assertEqualsWithDelta($se, $fit->questions[$i]['se'], 1e-6);
        }
    }

    public function testTwoQuestionsHaveTheClosedForm(): void
    {
        // Of those with one right, 30 have the first and 10 the second: the difference of difficulties is ln(10/30).
        $fit = Rasch::of(new Binary(
            ['a', 'b'],
            [...array_fill(0, 30, [1, 0]), ...array_fill(0, 10, [0, 1]), ...array_fill(0, 7, [1, 1]), ...array_fill(0, 3, [0, 0])],
        ));

        self::assertEqualsWithDelta(log(10 / 30) / 2, $fit->questions[0]['difficulty'], 1e-9);
        self::assertEqualsWithDelta(-log(10 / 30) / 2, $fit->questions[1]['difficulty'], 1e-9);
        self::assertEqualsWithDelta(sqrt(1 / 30 + 1 / 10) / 2, $fit->questions[0]['se'], 1e-9);
        self::assertSame(40, $fit->counted);
    }

    public function testKnownDifficultiesComeBackWithinTheirErrors(): void
    {
        $true = [];
        for ($i = 0; $i < 20; ++$i) {
            $true[] = -2.0 + $i * 4 / 19;
        }
        foreach (['complete' => 0.0, 'with gaps' => 0.1] as $name => $missing) {
            $fit = Rasch::of(Simulated::answers(
                array_fill(0, 20, 1.0),
                array_map(static fn (float $d): float => -$d, $true),
                400,
                'rasch',
                $missing,
            ));
            $z = array_map(
                static fn (array $q, float $d): float => (($q['difficulty'] ?? 9) - $d) / ($q['se'] ?? 1),
                $fit->questions,
                $true,
            );
            self::assertLessThan(1.9, array_sum(array_map(static fn (float $v): float => $v * $v, $z)) / 20, $name);
            self::assertSame([], array_filter($z, static fn (float $v): bool => abs($v) > 4.0), $name);
            foreach ($fit->questions as $q) {
                self::assertEqualsWithDelta(1.0, $q['infit'], 0.3, $name);
            }
        }
    }

    public function testOrderAndShiftAndDoublingChangeNothingThatTheyShouldNot(): void
    {
        $data = Simulated::answers([1.0, 1.0, 1.0, 1.0, 1.0, 1.0], [1.0, 0.5, 0.0, -0.2, -0.7, -1.1], 120, 'order');
        $fit = Rasch::of($data);
        $turned = Rasch::of(new Binary(array_reverse($data->ids), array_map(array_reverse(...), array_reverse($data->rows))));
        $doubled = Rasch::of(new Binary($data->ids, [...$data->rows, ...$data->rows]));
        foreach ($fit->questions as $i => $q) {
            self::assertEqualsWithDelta($q['difficulty'], $turned->questions[5 - $i]['difficulty'], 1e-8);
            self::assertEqualsWithDelta($q['difficulty'], $doubled->questions[$i]['difficulty'], 1e-8);
            self::assertEqualsWithDelta(($q['se'] ?? 0.0) / sqrt(2), $doubled->questions[$i]['se'], 1e-8);
        }
        self::assertEqualsWithDelta(0.0, array_sum(array_column($fit->questions, 'difficulty')), 1e-9);
    }

    public function testWhatSaysNothingIsNamedNotGuessed(): void
    {
        $fit = Rasch::of(new Binary(
            ['all', 'none', 'a', 'b', 'unseen'],
            [[1, 0, 1, 0, null], [1, 0, 0, 1, null], [1, 0, 1, 0, null], [1, 0, 1, 1, null]],
        ));
        self::assertSame(
            ['All who answered it have it right.', 'All who answered it have it wrong.', null, null, 'Nobody answered it.'],
            array_column($fit->questions, 'note'),
        );
        self::assertSame([null, null], [$fit->questions[0]['difficulty'], $fit->questions[0]['se']]);
        self::assertNull($fit->abilities[3], 'all of the questions that count');
        foreach ([[], [[1]], [[1, 1], [1, 1]], [[null, null]]] as $rows) {
            $none = Rasch::of(new Binary(array_map(strval(...), array_keys($rows[0] ?? [])), $rows));
            self::assertNotNull($none->note);
        }
    }

    public function testAnswersInPartsThatNothingTiesAreSaidToHaveNoBestFit(): void
    {
        // Whoever has the third right has the others right too: its difficulty has no finite best value.
        $fit = Rasch::of(new Binary(
            ['a', 'b', 'c'],
            [...array_fill(0, 5, [1, 0, 0]), ...array_fill(0, 5, [0, 1, 0]), ...array_fill(0, 5, [1, 1, 0]), [1, 1, 1]],
        ));
        foreach ($fit->questions as $q) {
            self::assertTrue($q['difficulty'] === null || is_finite($q['difficulty']));
        }
        self::assertNotSame([], array_filter([$fit->note, ...array_column($fit->questions, 'note')], is_string(...)));
    }

    public function testAbilitiesFollowTheScoreAlone(): void
    {
        $fit = Rasch::of(Lsat::data());
        $byScore = [];
        foreach (Lsat::data()->rows as $s => $row) {
            $byScore[array_sum($row)][(string) ($fit->abilities[$s] ?? 'none')] = true;
        }
        self::assertSame([1, 1, 1, 1, 1, 1], array_map(count(...), $byScore));
        self::assertArrayHasKey('none', $byScore[0]);
        self::assertArrayHasKey('none', $byScore[5]);
    }

    public function testScoreChancesLoseNoDigitsWithManyQuestions(): void
    {
        $p = array_map(static fn (int $i): float => 1 / (1 + exp(-4 + 8 * $i / 199)), range(0, 199));
        $all = ScoreChances::all($p);
        self::assertEqualsWithDelta(1.0, array_sum($all), 1e-12);
        foreach (ScoreChances::withoutEach($p) as $i => $without) {
            if ($i % 40 === 0) {
                foreach ([1, 60, 100, 150, 199] as $r) {
                    $again = $p[$i] * $without[$r - 1] + (1 - $p[$i]) * ($without[$r] ?? 0.0);
                    self::assertEqualsWithDelta(1.0, $again / $all[$r], 1e-10);
                }
            }
        }
        self::assertSame([0.25, 0.5, 0.25], ScoreChances::all([0.5, 0.5]));
        self::assertSame([[0.5, 0.5], [0.5, 0.5]], ScoreChances::withoutEach([0.5, 0.5]));
    }

    public function testPartCreditIsRefusedByName(): void
    {
        $this->expectExceptionMessage('question "b" has part credit');
        Binary::of([new \ChalkLadder\Core\Analysis\Question('b', 1.0, [], [\ChalkLadder\Core\Analysis\Cell::Answered], [0.5], [[]])], 1);
    }
}
