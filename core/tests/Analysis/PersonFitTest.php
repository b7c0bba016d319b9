<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Confusion;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\OptionReport;
use ChalkLadder\Core\Analysis\PersonFit;
use ChalkLadder\Core\Analysis\QuestionReport;
use ChalkLadder\Core\Tests\Analysis\Model\Simulated;
use PHPUnit\Framework\TestCase;

final class PersonFitTest extends TestCase
{
    public function testGuttmanErrorsAreCountedByHand(): void
    {
        // Facilities 6/7, 5/7, 4/7, 3/7, 2/7. The last has the two hardest right and the three easiest wrong.
        $rows = [[1, 1, 1, 1, 1], [1, 1, 1, 1, 0], [1, 1, 1, 0, 0], [1, 1, 0, 0, 0], [1, 0, 0, 0, 0], [1, 1, 1, 0, 0], [0, 0, 0, 1, 1]];
        $found = PersonFit::guttman(new Binary(['a', 'b', 'c', 'd', 'e'], $rows));
        self::assertNull($found[0]->value, 'all right has no pattern');
        self::assertSame([0.0, 0.0, 0.0], [$found[1]->value, $found[2]->value, $found[4]->value]);
        self::assertSame(1.0, $found[6]->value, 'every pair is the wrong way round: 6 of 6');
        self::assertNull(PersonFit::guttman(new Binary(['a', 'b'], [[1, 0]]))[0]->value);
    }

    public function testGuttmanErrorsDoNotHangOnTheOrderOfColumns(): void
    {
        // b, c and d are equally hard: a is the easiest, e the hardest.
        $rows = [[1, 1, 0, 0, 0], [1, 0, 1, 0, 0], [1, 0, 0, 1, 0], [0, 1, 0, 0, 1], [1, 0, 1, 0, 0], [1, 0, 0, 1, 0], [1, 0, 0, 0, 0]];
        $turned = array_map(static fn (array $r): array => [$r[4], $r[3], $r[2], $r[1], $r[0]], $rows);
        $value = static fn (Figure $f): ?float => $f->value;
        $ids = ['a', 'b', 'c', 'd', 'e'];
        $found = array_map($value, PersonFit::guttman(new Binary($ids, $rows)));
        self::assertSame($found, array_map($value, PersonFit::guttman(new Binary(array_reverse($ids), $turned))));
        // Right: a and b; of the six pairs with c, d and e, two are ties.
        self::assertEqualsWithDelta(1 / 6, $found[0], 1e-12);
    }

    public function testAStudentAgainstTheOrderIsFarFromLikely(): void
    {
        $difficulty = [-2.0, -1.0, -0.5, 0.0, 0.5, 1.0, 2.0];
        $usual = PersonFit::standardised([1, 1, 1, 1, 0, 0, 0], $difficulty, 0.0);
        $odd = PersonFit::standardised([0, 0, 0, 1, 1, 1, 1], $difficulty, 0.0);
        self::assertGreaterThan(0.0, $usual->value);
        self::assertLessThan(-2.0, $odd->value);
        self::assertNull(PersonFit::standardised([1, 0], [0.0, 0.0], 0.0)->value);
    }

    public function testUnderTheModelItIsNearlyStandardNormal(): void
    {
        $difficulty = array_map(static fn (int $i): float => -1.9 + $i * 0.2, range(0, 19));
        $data = Simulated::answers(array_fill(0, 20, 1.0), array_map(static fn (float $d): float => -$d, $difficulty), 500, 'lz');
        $fit = Rasch::of($data);
        $values = [];
        foreach ($data->rows as $s => $row) {
            if ($fit->abilities[$s] !== null) {
                $values[] = PersonFit::standardised($row, $difficulty, $fit->abilities[$s])->value ?? 0.0;
            }
        }
        $mean = array_sum($values) / count($values);
        self::assertEqualsWithDelta(0.0, $mean, 0.15);
        // The correction for estimated abilities gives it the spread of a standard normal (Snijders 2001).
        self::assertEqualsWithDelta(
            1.0,
            sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values)) / count($values)),
            0.07,
        );
    }

    public function testConfusionsAreRankedByHowCloseAndHowMany(): void
    {
        $close = self::question('close', [['a', true, 20], ['b', false, 18], ['c', false, 2]]);
        $lost = self::question('lost', [['a', true, 4], ['b', false, 30], ['c', false, 6]]);
        $clear = self::question('clear', [['a', true, 37], ['b', false, 3], ['c', false, 0]]);
        $two = self::question('two keys', [['a', true, 20], ['b', true, 20]]);
        $found = Confusion::among([$clear, $lost, $close, $two]);

        self::assertSame(
            ['close', 'lost'],
            array_map(static fn (Confusion $c): string => $c->question, $found),
            'a rival below a tenth is none',
        );
        self::assertSame(['a', 'b', 20, 18], [$found[0]->key, $found[0]->rival, $found[0]->keyCount, $found[0]->rivalCount]);
        self::assertEqualsWithDelta(0.9, $found[0]->rivalry, 1e-12);
        self::assertGreaterThan(0.8, $found[0]->p);
        self::assertLessThan(0.001, $found[1]->p);
        self::assertSame([false, false], [$found[0]->few, $found[1]->few]);
        $small = Confusion::among([self::question('small', [['a', true, 5], ['b', false, 4]])]);
        self::assertTrue($small[0]->few ?? false, 'a p of nine answers says that they are few');
    }

    /** @param list<array{string, bool, int}> $options */
    private static function question(string $id, array $options): QuestionReport
    {
        $n = array_sum(array_column($options, 2));
        $none = new Figure(null, $n, '');

        return new QuestionReport(
            $id,
            new Figure(0.5, $n, ''),
            $none,
            $none,
            $none,
            $none,
            0,
            0,
            0,
            array_map(
                static function (array $o) use ($n): OptionReport {
                    [$id, $key, $count] = $o;

                    return new OptionReport($id, $key, $count, $count / $n, [0.0, 0.0, 0.0], null, null, 0, 0.0, 0);
                },
                $options,
            ),
            [],
            [],
            $none,
            null,
        );
    }
}
