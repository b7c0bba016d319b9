<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Type\Choice\ChoiceResponse;
use ChalkLadder\Core\Item\Type\Number\NumberRule;
use ChalkLadder\Core\Item\Type\Text\Form;
use ChalkLadder\Core\Item\Type\Text\TextRule;
use ChalkLadder\Core\Marking\Change;
use ChalkLadder\Core\Marking\Given;
use ChalkLadder\Core\Marking\LookAlike;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Core\Marking\Remark;
use ChalkLadder\Core\Tests\Item\Rules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MarkingTest extends TestCase
{
    public function testMarksAreRoundedOnceHalfUpToTheStep(): void
    {
        $marks = static fn (string $credit, string $points, string $step): string => (string) Marks::of(
            BigRational::of($credit),
            BigRational::of($points),
            BigRational::of($step),
        );
        self::assertSame('1', $marks('1/3', '2', '1'));
        self::assertSame('1/2', $marks('1/3', '2', '1/2'));
        self::assertSame('7/10', $marks('1/3', '2', '0.1'));
        self::assertSame('1', $marks('1/4', '2', '1'), 'a half goes up');
        self::assertSame('0', $marks('0', '5', '1/2'));
    }

    public function testAcceptingAnAnswerRaisesEveryoneWhoWroteTheSame(): void
    {
        $old = new TextRule([new Form('Lamrock', BigRational::one())]);
        $new = $old->accepting(new TextResponse('Lamrock Bank'), BigRational::of('1/2'), 'One word is enough.');
        $given = [
            new Given('1', new TextResponse('lamrock  BANK')),
            new Given('2', new TextResponse('Lamrock')),
            new Given('3', new TextResponse('Lamrock bank'), true),
            new Given('4', new TextResponse('reef')),
        ];

        $changes = Remark::changes($given, self::under($old), self::under($new));
        self::assertSame([true, false, true, false], array_map(static fn (Change $c): bool => $c->altersCredit(), $changes));
        self::assertSame('1/2', (string) $changes[0]->after->credit);
        self::assertTrue($changes[2]->keptByHand);
    }

    public function testAcceptingTwiceReplacesTheEarlierForm(): void
    {
        $rule = (new TextRule([new Form('ebb', BigRational::of('1/2'))]))->accepting(new TextResponse(' EBB '), BigRational::one(), '');
        self::assertCount(1, $rule->forms);
        self::assertSame('1', (string) $rule->check(new TextResponse('ebb'))->credit);

        $number = new NumberRule([Rules::target('3.65'), Rules::target('3.33', '0', '0', 'idea')]);
        $accepted = $number->accepting(new TextResponse('3.33'), BigRational::of('1/2'), '');
        self::assertSame('1/2', (string) $accepted->check(new TextResponse('3.33'))->credit);
        self::assertSame([], $accepted->check(new TextResponse('3.33'))->misconceptions);
    }

    public function testAnUnchangedRuleChangesNothing(): void
    {
        foreach (Rules::table() as $rule) {
            foreach (Remark::changes(
                [new Given('1', new TextResponse('3.65')), new Given('2', ChoiceResponse::of('a'))],
                self::under($rule),
                self::under($rule),
            ) as $change) {
                self::assertFalse($change->altersAnything());
            }
        }
    }

    public function testShortAnswersStandTogetherBySpelling(): void
    {
        $sets = LookAlike::sets(['1' => 'Lamrock', '2' => 'gannet', '3' => 'lamrock.', '4' => 'Lamrok', '5' => '3.65', '6' => '3.66']);
        self::assertSame(['1', '3', '4'], $sets[0]);
        self::assertContains(['5'], $sets, 'numbers that differ by a digit differ for a reason');
        self::assertContains(['6'], $sets);
    }

    public function testLongAnswersStandTogetherBySubject(): void
    {
        $sets = LookAlike::sets([
            'a' => 'The sun and the moon pull together so their pulls add up at new moon',
            'b' => 'the pulls of sun and moon add up when they pull together at new moon',
            'c' => 'Hard rock wears more slowly than soft rock so the headland is left standing',
            'd' => 'waves wear the soft rock and the headland of hard rock is left',
            'e' => 'I did not have time to write about this question, sorry',
        ]);
        self::assertContains(['a', 'b'], $sets);
        self::assertContains(['c', 'd'], $sets);
        self::assertContains(['e'], $sets);
    }

    /** @return iterable<string, array{string, list<array<string, mixed>>, list<list<int>>}> */
    public static function structured(): iterable
    {
        yield 'orders of the same things' => ['order', [
            ['order' => ['b', 'a', 'c', 'd']], ['order' => ['a', 'b', 'd', 'c']], ['order' => ['b', 'a', 'c', 'd']],
        ], [[0, 2], [1]]];
        yield 'pairs of the same things' => ['marks-all', [
            ['pairs' => [['red', 'star'], ['green', 'port']]], ['pairs' => [['red', 'star'], ['green', 'star']]],
            ['pairs' => [['green', 'port'], ['red', 'star']]],
        ], [[0, 2], [1]]];
        yield 'numbers in gaps, however they are written' => ['log', [
            ['gaps' => ['g1' => 'ebb', 'g2' => '2.9 m']], ['gaps' => ['g1' => 'ebb', 'g2' => '2.90']], ['gaps' => ['g1' => 'ebb', 'g2' => '2.8']],
        ], [[0, 1], [2]]];
        yield 'the same answer in another gap' => ['log', [
            ['gaps' => ['g1' => '7', 'g2' => '8']], ['gaps' => ['g2' => '7']], ['gaps' => ['g1' => '7']],
        ], [[0], [1], [2]]];
        yield 'numbers in cells' => ['table', [
            ['cells' => [['', '5'], ['', '7.0']]], ['cells' => [['', '5.00'], ['', '7']]], ['cells' => [['', '7'], ['', '5']]],
        ], [[0, 1], [2]]];
        yield 'expressions, however they are spaced' => ['square', [
            ['text' => 'x*x + 3x'], ['text' => 'x * x+3 x'], ['text' => 'x*x - 3x'], ['text' => '(('], ['text' => '))'],
        ], [[0, 1], [2], [3], [4]]];
    }

    /**
     * @param list<array<string, mixed>> $values
     * @param list<list<int>>            $sets
     */
    #[DataProvider('structured')]
    public function testWhatIsNoProseIsAlikeOnlyWhereItIsTheSame(string $rule, array $values, array $sets): void
    {
        $item = Rules::item($rule);
        $answers = array_map(static function (array $value) use ($item): array {
            $response = ResponseReader::fromArray($value);

            return [$response, $item->check($response), 'one'];
        }, $values);
        self::assertSame($sets, LookAlike::answers($item->rule, $answers));
    }

    public function testProseIsAlikeWhereItIsNearlyTheSame(): void
    {
        $bank = Rules::table()['bank'];
        $answers = array_map(
            static fn (string $text): array => [new TextResponse($text), $bank->check(new TextResponse($text)), 'one'],
            ['Gannet Head', 'gannet  head.', 'Ganet Head', 'the pier'],
        );
        self::assertSame([[0, 1, 2], [3]], LookAlike::answers($bank, $answers));
    }

    public function testEveryAnswerIsInExactlyOneSet(): void
    {
        $answers = [];
        foreach (range(1, 60) as $i) {
            $answers["x$i"] = str_repeat('tide ', $i % 7).($i % 5);
        }
        $all = array_merge(...LookAlike::sets($answers));
        sort($all);
        $ids = array_keys($answers);
        sort($ids);
        self::assertSame($ids, $all);
        self::assertSame([], LookAlike::sets([]));
    }

    /** @return \Closure(Given): Outcome */
    private static function under(Rule $rule): \Closure
    {
        return static fn (Given $g): Outcome => self::asItem($rule)->check($g->response);
    }

    private static function asItem(Rule $rule): Item
    {
        return new Item('', '', BigRational::one(), $rule);
    }
}
