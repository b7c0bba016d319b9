<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Confusion;
use ChalkLadder\Core\Analysis\Part;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Item\AnswerPart;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\ResponseReader;
use PHPUnit\Framework\TestCase;

/** Confusions of what is not picked from options. */
final class PartTest extends TestCase
{
    private const GAPS = ['gaps' => [
        ['id' => 'a', 'type' => 'text', 'rule' => ['forms' => [['text' => 'ebb'], ['text' => 'the ebb']]]],
        ['id' => 'b', 'type' => 'number', 'rule' => ['targets' => [['value' => '3.5']]]],
    ]];

    /**
     * @param array<string, mixed> $rule
     * @param array<string, mixed> $response
     *
     * @return list<array{string, string, string, bool}>
     */
    private static function parts(ItemType $type, array $rule, array $response): array
    {
        return array_map(
            static fn (AnswerPart $p): array => [$p->name, $p->given, $p->key, $p->right],
            ItemReader::readRule($type, $rule)->parts(ResponseReader::fromArray($response)),
        );
    }

    public function testEachTypeSaysWhatItsPartsAre(): void
    {
        self::assertSame(
            [['gap 1', 'flow', 'ebb', false], ['gap 2', '3.50', '3.5', true]],
            self::parts(ItemType::Gaps, self::GAPS, ['gaps' => ['a' => 'flow', 'b' => '3.50']]),
        );
        self::assertSame([['gap 2', '4', '3.5', false]], self::parts(ItemType::Gaps, self::GAPS, ['gaps' => ['b' => '4']]), 'a gap left open says nothing');
        $things = [['id' => 'a', 'text' => 'ebb'], ['id' => 'b', 'text' => 'slack'], ['id' => 'c', 'text' => 'flood']];
        self::assertSame(
            [['places 1 and 2', 'slack → ebb', 'ebb → slack', false], ['places 2 and 3', 'slack → flood', 'slack → flood', true]],
            self::parts(ItemType::Order, ['things' => $things], ['order' => ['b', 'a', 'c']]),
        );
        $match = ['things' => $things, 'places' => [['id' => 'p', 'text' => 'falls'], ['id' => 'q', 'text' => 'rises']], 'key' => [['a', 'p'], ['c', 'q']]];
        self::assertSame(
            [['ebb', 'rises', 'falls', false], ['slack', 'falls', 'nowhere', false], ['flood', 'rises', 'rises', true]],
            self::parts(ItemType::Match, $match, ['pairs' => [['a', 'q'], ['b', 'p'], ['c', 'q']]]),
        );
        self::assertSame([], self::parts(ItemType::Match, ['copies' => true] + $match, ['pairs' => [['a', 'q']]]));
        self::assertSame([['row 1, column 2', '9', '8', false]], self::parts(
            ItemType::Table,
            ['rows' => 1, 'columns' => 2, 'cells' => [['row' => 1, 'column' => 2, 'type' => 'number', 'rule' => ['targets' => [['value' => '8']]]]]],
            ['cells' => [['', '9']]],
        ));
        self::assertSame([['', '7', '8', false]], self::parts(ItemType::Number, ['targets' => [['value' => '8']]], ['text' => '7']));
        self::assertSame([], self::parts(ItemType::Choice, ['options' => [['id' => 'a', 'text' => 'A', 'key' => true]]], ['options' => ['a']]), 'options are counted as such');
        self::assertSame([], self::parts(ItemType::Open, ['criteria' => []], ['text' => 'Long.']));
        self::assertSame([['light', 'the pier', 'the light', false]], self::parts(ItemType::Spot, [
            'mode' => 'labels', 'labels' => [['id' => 'l', 'text' => 'light']], 'key' => ['l' => 'r1'],
            'regions' => [
                ['id' => 'r1', 'name' => 'the light', 'ellipse' => [10, 10, 5, 5]],
                ['id' => 'r2', 'name' => 'the pier', 'ellipse' => [30, 10, 5, 5]],
            ],
        ], ['labels' => ['l' => [31, 11]]]));
    }

    public function testTheMostGivenWrongAnswerOfEachPartRivalsItsKey(): void
    {
        $rule = ItemReader::readRule(ItemType::Gaps, self::GAPS);
        $given = [];
        foreach ([
            ...array_fill(0, 6, ['a' => 'ebb', 'b' => '3.5']),
            ...array_fill(0, 3, ['a' => 'Flow', 'b' => '3.5']),
            ['a' => 'flow'],
            ['a' => 'neap', 'b' => '7/2'],
            ['a' => 'the ebb', 'b' => '0.35'],
        ] as $gaps) {
            $given[] = $rule->parts(ResponseReader::fromArray(['gaps' => $gaps]));
        }
        $n = count($given);
        $question = new Question(
            'q',
            1.0,
            [],
            array_fill(0, $n, Cell::Answered),
            array_fill(0, $n, 0.5),
            array_fill(0, $n, []),
            parts: Part::among($given),
        );
        $falling = array_map(static fn (int $i): float => 1.0 - (float) $i / $n, range(0, $n - 1));
        $other = new Question('other', 9.0, [], array_fill(0, $n, Cell::Answered), $falling, array_fill(0, $n, []));
        $found = Confusion::among(Report::of([$question, $other], $n)->questions);
        self::assertCount(1, $found, 'one in twelve is no rival');
        self::assertSame(['gap 1', 'ebb', 'Flow', 7, 4, 12], [
            $found[0]->part?->name,
            $found[0]->part?->key,
            $found[0]->part?->rival,
            $found[0]->keyCount,
            $found[0]->rivalCount,
            $found[0]->n,
        ], 'whatever is accepted is the key, and what folds to the same is one answer');
        self::assertEqualsWithDelta(2 / 3, $found[0]->rivalry, 1e-12);
        self::assertSame([4, 0], [$found[0]->upperKey, $found[0]->upperRival], 'those who do best elsewhere');
    }
}
