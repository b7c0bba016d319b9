<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\PartialCredit;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\Warm;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class PartialCreditTest extends TestCase
{
    public function testOfQuestionsThatAreRightOrWrongItIsTheRaschModel(): void
    {
        $data = Simulated::answers(array_fill(0, 6, 1.0), [1.2, 0.6, 0.1, -0.2, -0.7, -1.0], 200, 'pcm', 0.1);
        $rasch = Rasch::of($data);
        $fit = PartialCredit::of($data->ids, $data->rows);
        self::assertNull($fit->note);
        foreach ($fit->questions as $i => $q) {
            self::assertEqualsWithDelta($rasch->questions[$i]['difficulty'], $q['difficulty'], 1e-6);
            self::assertEqualsWithDelta($rasch->questions[$i]['se'], $q['se'][0], 1e-4);
        }
        self::assertSame($rasch->counted, $fit->counted);
    }

    public function testKnownThresholdsComeBackWithinTheirErrors(): void
    {
        $true = [[-1.5, 0.2], [-0.8, 0.6, 1.4], [0.1], [-0.6], [-1.0, 1.6]];
        $mean = array_sum(array_merge(...$true)) / 9;
        $fit = PartialCredit::of(['a', 'b', 'c', 'd', 'e'], self::answers($true, 1200));
        $squares = 0.0;
        foreach ($true as $i => $thresholds) {
            self::assertCount(count($thresholds), $fit->questions[$i]['thresholds']);
            foreach ($thresholds as $step => $value) {
                $squares += (($fit->questions[$i]['thresholds'][$step] - ($value - $mean)) / $fit->questions[$i]['se'][$step]) ** 2;
            }
            self::assertEqualsWithDelta(array_sum($thresholds) / count($thresholds) - $mean, $fit->questions[$i]['difficulty'], 0.2);
        }
        self::assertLessThan(2.2, $squares / 9);
        self::assertGreaterThan(0.2, $squares / 9, 'errors that are far too wide would hide anything');
        self::assertEqualsWithDelta(0.0, array_sum(array_merge(...array_column($fit->questions, 'thresholds'))), 1e-9);
    }

    public function testCreditsThatNobodyHasArePassedOver(): void
    {
        $rows = array_map(
            static fn (array $row): array => [$row[0] * 2, $row[1], $row[2]],
            self::answers([[-0.5, 0.5], [0.0], [0.3]], 150),
        );
        $fit = PartialCredit::of(['a', 'b', 'c'], $rows);
        self::assertCount(2, $fit->questions[0]['thresholds']);
        self::assertStringContainsString('passed over', (string) $fit->questions[0]['note']);
        self::assertNull($fit->questions[1]['note']);
        $same = PartialCredit::of(['a', 'b', 'c', 'd'], array_map(static fn (array $row): array => [...$row, 3], $rows));
        self::assertSame(['All who answered it have the same credit.', []], [$same->questions[3]['note'], $same->questions[3]['thresholds']]);
    }

    public function testEverythingAndNothingRightHaveAnAbilityByWarm(): void
    {
        // Warm 1989: of ten questions of difficulty 0, r right lie at ln((r + ½)/(10 − r + ½)).
        $steps = array_fill(0, 10, [0.0]);
        foreach ([0, 3, 10] as $score) {
            self::assertEqualsWithDelta(log(($score + 0.5) / (10.5 - $score)), Warm::estimate($steps, $score)[0], 1e-9);
        }
        self::assertEqualsWithDelta(log(3 / 7), Warm::maximumLikelihood($steps, 3)[0] ?? NAN, 1e-9);
        self::assertNull(Warm::maximumLikelihood($steps, 10));
        $rows = [...self::answers([[-0.5, 0.5], [0.0], [0.3]], 150), [2, 1, 1], [0, 0, 0], [null, null, null]];
        $fit = PartialCredit::of(['a', 'b', 'c'], $rows);
        [$all, $nothing, $none] = array_slice($fit->abilities, -3);
        self::assertGreaterThan(1.0, $all);
        self::assertLessThan(-1.0, $nothing);
        self::assertNull($none);
    }

    public function testTooLittleIsSaid(): void
    {
        foreach ([[], [[1, 1]], [[1, 1], [1, 1]], [[null, null]]] as $rows) {
            $fit = PartialCredit::of(['a', 'b'], $rows);
            self::assertStringContainsString('At least two questions', (string) $fit->note);
            self::assertSame([[], []], array_column($fit->questions, 'thresholds'));
        }
        $wide = PartialCredit::of(['a', 'b'], array_map(static fn (int $i): array => [$i % 90, ($i * 7) % 90], range(0, 400)));
        self::assertStringContainsString('too many', (string) $wide->note);
    }

    /**
     * @param list<list<float>> $thresholds
     *
     * @return list<list<int>>
     */
    private static function answers(array $thresholds, int $students): array
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'pcm', true)));
        $chance = static fn (): float => $random->getInt(0, 999_999_999) / 1e9;
        $rows = [];
        for ($s = 0; $s < $students; ++$s) {
            $ability = sqrt(-2 * log(1 - $chance())) * cos(2 * M_PI * $chance());
            $rows[] = array_map(static function (array $own) use ($ability, $chance): int {
                $u = $chance();
                foreach (Warm::chances($own, $ability) as $x => $p) {
                    $u -= $p;
                    if ($u < 0.0) {
                        return $x;
                    }
                }

                return count($own);
            }, $thresholds);
        }

        return $rows;
    }
}
