<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Veil;
use ChalkLadder\Core\Marking\Accepting;
use PHPUnit\Framework\TestCase;

/** Answers that have parts, taken into the key. */
final class AcceptingTest extends TestCase
{
    /** @param array<string, mixed> $rule */
    private static function rule(ItemType $type, array $rule): Rule
    {
        return ItemReader::readRule($type, $rule);
    }

    /** @param array<string, mixed> $response */
    private static function credit(Rule $rule, array $response): string
    {
        return (string) $rule->check(ResponseReader::fromArray($response))->credit?->simplified();
    }

    /** @return array<string, mixed> */
    private static function gaps(): array
    {
        return ['passage' => 'The [a] falls [b] m.', 'gaps' => [
            ['id' => 'a', 'type' => 'text', 'rule' => ['forms' => [['text' => 'tide']]]],
            ['id' => 'b', 'type' => 'number', 'rule' => ['targets' => [['value' => '3.1']]]],
        ]];
    }

    public function testOnlyTheGapThatEarnedLessTakesMore(): void
    {
        $rule = self::rule(ItemType::Gaps, self::gaps());
        $given = ['gaps' => ['a' => 'ebb', 'b' => '3.1']];
        self::assertSame('1/2', self::credit($rule, $given));
        $taking = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::of('1/2'), 'Nearly.');
        self::assertSame('3/4', self::credit($taking, $given));
        self::assertSame('3/4', self::credit($taking, ['gaps' => ['a' => 'Ebb', 'b' => '3.10']]), 'everybody who gave the same');
        self::assertSame('1', self::credit($taking, ['gaps' => ['a' => 'tide', 'b' => '3.1']]), 'the key stays the key');
        self::assertSame('Nearly.', $taking->check(ResponseReader::fromArray($given))->feedback);
    }

    public function testCellsTakeWhatStandsInThem(): void
    {
        $rule = self::rule(ItemType::Table, ['rows' => 1, 'columns' => 2, 'cells' => [
            ['row' => 1, 'column' => 1, 'type' => 'number', 'rule' => ['targets' => [['value' => '2']]]],
            ['row' => 1, 'column' => 2, 'type' => 'text', 'rule' => ['forms' => [['text' => 'ebb']]]],
        ]]);
        $given = ['cells' => [['3', 'ebbing']]];
        $taking = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::one(), '');
        self::assertSame(['0', '1'], [self::credit($rule, $given), self::credit($taking, $given)]);
    }

    public function testAnotherOrderOfAllThingsMayBeRightToo(): void
    {
        $rule = self::rule(ItemType::Order, ['things' => [['id' => 'a', 'text' => '1'], ['id' => 'b', 'text' => '2'], ['id' => 'c', 'text' => '3']]]);
        $given = ['order' => ['b', 'a', 'c']];
        $taking = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::one(), '');
        self::assertSame(['0', '1'], [self::credit($rule, $given), self::credit($taking, $given)]);
        self::assertSame('1', self::credit($taking, ['order' => ['a', 'b', 'c']]));
        $this->expectException(NotAcceptable::class);
        Accepting::into($rule, ResponseReader::fromArray(['order' => ['b', 'a']]), BigRational::one(), '');
    }

    public function testAnotherPlaceOfAThingMayBeWorthSomething(): void
    {
        $rule = self::rule(ItemType::Match, [
            'things' => [['id' => 'a', 'text' => 'ebb'], ['id' => 'b', 'text' => 'flood']],
            'places' => [['id' => 'x', 'text' => 'falls'], ['id' => 'y', 'text' => 'rises'], ['id' => 'z', 'text' => 'runs out']],
            'key' => [['a', 'x'], ['b', 'y']],
            'lines' => [['thing' => 'a', 'place' => 'z', 'misconception' => 'idea']],
        ]);
        $given = ['pairs' => [['a', 'z'], ['b', 'y']]];
        $half = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::of('1/2'), 'Nearly.');
        $whole = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::one(), '');
        self::assertSame(['1/2', '3/4', '1'], [self::credit($rule, $given), self::credit($half, $given), self::credit($whole, $given)]);
        self::assertSame('1', self::credit($whole, ['pairs' => [['a', 'x'], ['b', 'y']]]), 'the key stays the key');
        self::assertSame('1/2', self::credit($whole, ['pairs' => [['a', 'y'], ['b', 'y']]]), 'what else is wrong stays wrong');
        self::assertSame([], $whole->misconceptions(), 'what is right shows no wrong idea');
        self::assertSame('Nearly.', $half->check(ResponseReader::fromArray($given))->feedback);
        $this->expectException(NotAcceptable::class);
        Accepting::into($rule, ResponseReader::fromArray(['pairs' => [['a', 'x'], ['b', 'y']]]), BigRational::one(), '');
    }

    public function testAPairTooManyStillCosts(): void
    {
        $rule = self::rule(ItemType::Match, [
            'things' => [['id' => 'a', 'text' => '1'], ['id' => 'b', 'text' => '2'], ['id' => 'c', 'text' => '3']],
            'places' => [['id' => 'x', 'text' => 'x'], ['id' => 'y', 'text' => 'y']],
            'key' => [['a', 'x'], ['b', 'y']],
        ]);
        $surplus = ['pairs' => [['a', 'x'], ['b', 'y'], ['c', 'y']]];
        self::assertSame('1/2', self::credit($rule, $surplus));
        $taking = Accepting::into($rule, ResponseReader::fromArray($surplus), BigRational::of('1/2'), '');
        self::assertSame('1', self::credit($taking, $surplus), 'once it is worth something it costs nothing, and nobody earns more than all');
    }

    public function testAPlaceThatIsPointedAtMayBeRightToo(): void
    {
        $rule = self::rule(ItemType::Spot, [
            'mode' => 'points', 'picture' => ['file' => 'f', 'width' => 400, 'height' => 200, 'alt' => ''],
            'regions' => [
                ['id' => 'light', 'ellipse' => [50, 50, 10, 10]],
                ['id' => 'pier', 'ellipse' => [100, 50, 10, 10], 'credit' => '0', 'misconception' => 'nearest'],
            ],
        ]);
        $pier = Accepting::into($rule, ResponseReader::fromArray(['points' => [[98, 52]]]), BigRational::of('1/2'), 'Near it.');
        self::assertSame(['0', '1/2', '1'], [
            self::credit($rule, ['points' => [[104, 50]]]), self::credit($pier, ['points' => [[104, 50]]]), self::credit($pier, ['points' => [[50, 50]]]),
        ]);
        self::assertSame([], $pier->misconceptions());
        $sea = Accepting::into($rule, ResponseReader::fromArray(['points' => [[300, 100]]]), BigRational::one(), '');
        self::assertSame(['1', '0', '0'], [
            self::credit($sea, ['points' => [[308, 104]]]), self::credit($sea, ['points' => [[311, 100]]]), self::credit($rule, ['points' => [[300, 100]]]),
        ], 'as far as a fortieth of the longer side');
        self::assertEquals($sea, ItemReader::readRule(ItemType::Spot, $sea->toArray()));
    }

    public function testAnotherPlotMayStandInPlaceOfTheKey(): void
    {
        $rule = self::rule(ItemType::Plot, ['targets' => [
            ['kind' => 'point', 'x' => '1', 'y' => '1'],
            ['kind' => 'point', 'x' => '2', 'y' => '4'],
            ['kind' => 'point', 'x' => '4', 'y' => '2', 'credit' => '0', 'misconception' => 'turned'],
        ]]);
        $given = ['points' => [[1, 1], [4, 2]]];
        $taking = Accepting::into($rule, ResponseReader::fromArray($given), BigRational::one(), '');
        self::assertSame(['0', '1'], [self::credit($rule, $given), self::credit($taking, $given)]);
        self::assertSame('1', self::credit($taking, ['points' => [[1, 1], [2, 4]]]), 'no more is asked for than before');
        self::assertSame('1/2', self::credit($taking, ['points' => [[4, 2]]]));
        $far = Accepting::into($rule, ResponseReader::fromArray(['points' => [[9, 9]]]), BigRational::of('1/2'), '');
        self::assertSame(['1/4', '3/4'], [self::credit($far, ['points' => [[9, 9]]]), self::credit($far, ['points' => [[1, 1], [9, 9]]])]);
        self::assertEquals($taking, ItemReader::readRule(ItemType::Plot, $taking->toArray()));
        self::assertSame($rule->key(), $taking->key());
    }

    public function testABankHoldsTheRightWordsAmongOthersInNoOrderThatTells(): void
    {
        $words = [];
        foreach (['ebb', 'flood', 'slack', 'springs', 'neaps'] as $i => $word) {
            $words[] = ['id' => "g$i", 'type' => 'text', 'rule' => ['forms' => [['text' => $word], ['text' => 'other']]]];
        }
        $rule = self::rule(ItemType::Gaps, ['gaps' => [...$words, ['id' => 'n', 'type' => 'number', 'rule' => ['targets' => [['value' => '3.1']]]]], 'bank' => ['swell']]);
        $orders = [];
        foreach (range(1, 12) as $seed) {
            $bank = $rule->face(new Showing(Veil::over("$seed", 'e'), "$seed", 'e', false))['bank'];
            self::assertIsArray($bank);
            $orders[] = implode(' ', array_filter($bank, is_string(...)));
            sort($bank);
            self::assertSame(['ebb', 'flood', 'neaps', 'slack', 'springs', 'swell'], $bank, 'numbers are worked out, not dragged');
        }
        self::assertGreaterThan(6, count(array_unique($orders)));
        self::assertArrayNotHasKey('bank', self::rule(ItemType::Gaps, self::gaps())->face(new Showing(Veil::none(), '', '', false)));
    }
}
