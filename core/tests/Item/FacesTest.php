<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Veil;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a student's device gets of a question, and how answers and keys are said, for every type. */
final class FacesTest extends TestCase
{
    /** The ids that are written in a rule; a device is to know none of them. */
    private const WRITTEN = ['keyid', 'otherid', 'thirdid', 'placeone', 'placetwo'];
    private const SECRET = 'what the teacher says of it';

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> rule, answer, in words, key */
    public static function questions(): iterable
    {
        $things = [['id' => 'keyid', 'text' => '<p>Ebb</p>'], ['id' => 'otherid', 'text' => 'Flood'], ['id' => 'thirdid', 'text' => 'Slack']];
        $places = [['id' => 'placeone', 'text' => 'falls'], ['id' => 'placetwo', 'text' => 'rises']];
        $line = ['credit' => '0', 'feedback' => self::SECRET];
        $option = static fn (string $id, string $text, bool $key): array => [
            'id' => $id, 'text' => $text, 'key' => $key, 'feedback' => self::SECRET,
        ];
        $choice = ['options' => [$option('keyid', '<p>Ebb</p>', true), $option('otherid', '<p>Flood</p>', false)]];
        $number = ['targets' => [['value' => '73/20', 'credit' => '1', 'feedback' => self::SECRET]], 'unit' => 'm'];

        yield 'choice' => [['type' => 'choice', 'rule' => $choice], ['options' => ['otherid']], 'B Flood', '<p>Ebb</p>'];
        yield 'text' => [
            ['type' => 'text', 'rule' => ['forms' => [['text' => 'no', 'credit' => '0'], ['text' => 'neap & ebb', 'feedback' => self::SECRET]]]],
            ['text' => 'Neep'], 'Neep', 'neap &amp; ebb',
        ];
        yield 'number' => [['type' => 'number', 'rule' => $number], ['text' => '3.6 m'], '3.6 m', '3.65 m'];
        yield 'expression' => [
            ['type' => 'expression', 'rule' => ['names' => ['h'], 'lines' => [['expression' => '2h', 'credit' => '1', 'feedback' => self::SECRET]]]],
            ['text' => 'h+h'], 'h+h', '2h',
        ];
        yield 'gaps' => [
            ['type' => 'gaps', 'rule' => ['gaps' => [
                ['id' => 'one', 'type' => 'choice', 'rule' => $choice],
                ['id' => 'two', 'type' => 'number', 'rule' => $number],
                ['id' => 'three', 'type' => 'choice', 'rule' => $choice],
            ]]],
            ['gaps' => ['one' => 'keyid', 'two' => '4', 'three' => 'otherid']], 'A Ebb · 4 · B Flood', '<p>Ebb</p> · 3.65 m · <p>Ebb</p>',
        ];
        yield 'order' => [
            ['type' => 'order', 'rule' => ['things' => $things, 'lines' => [['order' => ['otherid', 'keyid', 'thirdid']] + $line]]],
            ['order' => ['thirdid', 'keyid', 'otherid']], 'Slack → Ebb → Flood', 'Ebb → Flood → Slack',
        ];
        yield 'match' => [
            ['type' => 'match', 'rule' => [
                'things' => $things, 'places' => $places, 'key' => [['keyid', 'placeone'], ['otherid', 'placetwo']],
                'lines' => [['thing' => 'keyid', 'place' => 'placetwo'] + $line],
            ]],
            ['pairs' => [['keyid', 'placetwo'], ['otherid', 'placeone']]], 'Ebb – rises; Flood – falls', 'Ebb – falls; Flood – rises',
        ];
        yield 'spot' => [
            ['type' => 'spot', 'rule' => [
                'mode' => 'labels', 'labels' => $things, 'key' => ['keyid' => 'r1'],
                'regions' => [['id' => 'r1', 'ellipse' => ['7788', '88', '5', '5'], 'feedback' => self::SECRET]],
            ]],
            ['labels' => ['keyid' => ['10', '20']]], 'Ebb at (10, 20)', 'Ebb – r1',
        ];
        yield 'plot' => [
            ['type' => 'plot', 'rule' => ['targets' => [['kind' => 'line', 'slope' => '7', 'intercept' => '8', 'feedback' => self::SECRET]]]],
            ['points' => [['1', '2']], 'lines' => [['0', '1', '1', '3']]], '(1, 2); y = 2 x + 1', 'y = 7 x + 8',
        ];
        yield 'table' => [
            ['type' => 'table', 'rule' => ['rows' => 1, 'columns' => 2, 'cells' => [
                ['row' => 1, 'column' => 2, 'type' => 'number', 'rule' => $number],
            ]]],
            ['cells' => [['06:00', '3.6']]], '3.6', 'row 1, column 2: 3.65 m',
        ];
        foreach (['open', 'working', 'recording', 'upload'] as $type) {
            yield $type => [
                ['type' => $type, 'rule' => ['criteria' => [['name' => 'Cause', 'levels' => [['points' => '1', 'descriptor' => self::SECRET]]]]]],
                $type === 'open' ? ['text' => 'The moon.'] : ['files' => ['f1', 'f2'], 'text' => 'See both.'],
                $type === 'open' ? 'The moon.' : 'See both. (2 files)', '',
            ];
        }
        yield 'floor' => [['type' => 'floor', 'rule' => []], ['text' => 'Why twice a day?'], 'Why twice a day?', ''];
    }

    /**
     * @param array<string, mixed> $question
     * @param array<string, mixed> $answer
     */
    #[DataProvider('questions')]
    public function testADeviceIsToldNothingOfTheKey(array $question, array $answer): void
    {
        $item = self::item($question);
        $face = json_encode($item->face(self::showing('seed')), JSON_THROW_ON_ERROR);
        foreach ([self::SECRET, '73/20', '3.65', '"key"', '"credit"', '7788', 'neap', '2h', ...self::WRITTEN] as $secret) {
            self::assertStringNotContainsString($secret, $face);
        }
        self::assertStringContainsString('"type":"'.$item->type()->value.'"', $face);
    }

    /**
     * @param array<string, mixed> $question
     * @param array<string, mixed> $answer
     */
    #[DataProvider('questions')]
    public function testAnAnswerGoesToTheDeviceAndBack(array $question, array $answer): void
    {
        $item = self::item($question);
        $veil = Veil::over('seed', 'e1');
        $response = ResponseReader::fromArray($answer);
        $there = $veil->cover($item->rule, $response);
        foreach (self::WRITTEN as $id) {
            self::assertStringNotContainsString($id, ResponseReader::key($there));
        }
        self::assertSame(ResponseReader::key($response), ResponseReader::key($veil->uncover($item->rule, $there)));
        self::assertEquals($response->toArray(), ResponseReader::fromArray($response->toArray())->toArray());
        // What a device names is what its face names.
        $face = json_encode($item->face(self::showing('seed')), JSON_THROW_ON_ERROR);
        preg_match_all('/\b[0-9a-f]{10}\b/', ResponseReader::key($there), $names);
        foreach ($names[0] as $name) {
            self::assertStringContainsString('"'.$name.'"', $face);
        }
    }

    /**
     * @param array<string, mixed> $question
     * @param array<string, mixed> $answer
     */
    #[DataProvider('questions')]
    public function testAnswerAndKeyAreSaidInWords(array $question, array $answer, string $words, string $key): void
    {
        $rule = self::item($question)->rule;
        self::assertSame($words, $rule->inWords(ResponseReader::fromArray($answer)));
        self::assertSame($key, $rule->key());
        self::assertSame('', trim($rule->inWords(new TextResponse('')), ' –·'));
    }

    /**
     * @param array<string, mixed> $question
     * @param array<string, mixed> $answer
     */
    #[DataProvider('questions')]
    public function testOnlyWhatHasAKeyTakesAnAnswerIn(array $question, array $answer): void
    {
        $rule = self::item($question)->rule;
        $response = ResponseReader::fromArray($answer);
        if (in_array($rule->type()->value, ['choice', 'text', 'number', 'expression', 'gaps', 'order', 'match', 'plot', 'table'], true)) {
            self::assertSame('1', (string) $rule->accepting($response, BigRational::one(), '')->check($response)->credit);

            return;
        }
        $this->expectException(NotAcceptable::class);
        $rule->accepting($response, BigRational::one(), '');
    }

    public function testWhatTheWrittenOrderTellsIsMixedThoughOptionsStayAsWritten(): void
    {
        $orders = $options = [];
        foreach (range(1, 30) as $seed) {
            $texts = static fn (string $type, string $list): string => json_encode(array_column(
                (array) (self::item(self::named($type))->face(self::showing((string) $seed, false))[$list] ?? []),
                'text',
            ), JSON_THROW_ON_ERROR);
            $orders[$texts('order', 'things')] = true;
            $options[$texts('choice', 'options')] = true;
        }
        self::assertCount(6, $orders);
        self::assertCount(1, $options);
    }

    public function testTheSameIdInTwoGapsHasTwoNames(): void
    {
        $face = json_encode(self::item(self::named('gaps'))->face(self::showing('seed')), JSON_THROW_ON_ERROR);
        preg_match_all('/"id":"([0-9a-f]{10})"/', $face, $found);
        $ids = $found[1];
        self::assertCount(4, $ids);
        self::assertCount(4, array_unique($ids));
    }

    public function testWithoutAVeilNothingIsRenamed(): void
    {
        $item = self::item(self::named('choice'));
        $response = ResponseReader::fromArray(['options' => ['keyid', 'nobody']]);
        self::assertSame($response, Veil::none()->cover($item->rule, $response));
        self::assertSame($response, Veil::none()->uncover($item->rule, $response));
        $covered = Veil::over('seed', 'e1')->uncover($item->rule, $response);
        self::assertTrue($covered->isBlank(), 'a device knows no written id');
    }

    /** @return array<string, mixed> */
    private static function named(string $type): array
    {
        foreach (self::questions() as $name => [$question]) {
            if ($name === $type) {
                return $question;
            }
        }

        throw new \LogicException("There is no question of type $type.");
    }

    public function testWrongOptionsAreLeftOutForWhoeverIsToHaveFewerAndTheKeyNever(): void
    {
        $options = array_map(static fn (string $id): array => [
            'id' => $id, 'text' => "<p>$id</p>", 'key' => $id === 'd', 'feedback' => '',
        ], ['a', 'b', 'c', 'd', 'e']);
        $shown = static function (array $rule, int $fewer, string $seed) use ($options): array {
            $face = self::item(['type' => 'choice', 'rule' => $rule + ['options' => $options]])
                ->face(new Showing(Veil::none(), $seed, 'e1', false, $fewer));

            self::assertIsArray($face['options']);

            return array_values(array_filter(array_column($face['options'], 'id'), is_string(...)));
        };
        $left = [];
        for ($seed = 0; $seed < 60; ++$seed) {
            $ids = $shown([], 2, (string) $seed);
            self::assertSame($ids, $shown([], 2, (string) $seed), 'the same as often as one looks');
            self::assertCount(3, $ids);
            self::assertContains('d', $ids);
            $left += array_flip(array_diff(['a', 'b', 'c', 'e'], $ids));
        }
        self::assertCount(4, $left, 'each of the wrong ones is left out for somebody');
        self::assertSame(['a', 'b', 'c', 'd', 'e'], $shown([], 0, '1'));
        self::assertSame(['a', 'b', 'c', 'd', 'e'], $shown(['several' => true], 2, '1'), 'where several are right nothing is told by what is missing');
        $two = ['options' => array_slice($options, 2, 2)];
        self::assertSame(['c', 'd'], $shown($two, 2, '1'), 'one wrong option stays');
        self::assertSame('e', array_reverse($shown(['keepLast' => true], 1, '2'))[0]);
    }

    /** @param array<string, mixed> $question */
    private static function item(array $question): Item
    {
        return ItemReader::read($question + ['version' => 1, 'prompt' => '<p>Prompt</p>', 'points' => '1']);
    }

    private static function showing(string $seed, bool $shuffle = true): Showing
    {
        return new Showing(Veil::over($seed, 'e1'), $seed, 'e1', $shuffle);
    }
}
