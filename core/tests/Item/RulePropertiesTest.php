<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\Folding;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Template;
use ChalkLadder\Core\Item\WordPattern;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

/** What holds of every rule, whatever the response. */
final class RulePropertiesTest extends TestCase
{
    use TestTrait;

    public function testPicksAndPairsMayComeInAnyOrder(): void
    {
        $this->limitTo(60)->forAll(Generators::choose(0, PHP_INT_MAX))->then(static function (int $seed): void {
            $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
            $picked = array_slice(['b', 'd', 'a', 'c'], $random->getInt(0, 2), $random->getInt(1, 4));
            $pairs = array_slice([['red', 'port'], ['green', 'star'], ['green', 'mid'], ['red', 'star']], 0, $random->getInt(1, 2));
            foreach (['two', 'each'] as $rule) {
                $outcome = static fn (array $options): array => (array) Rules::item($rule)->check(
                    ResponseReader::fromArray(['options' => $options]),
                );
                self::assertEquals($outcome($picked), $outcome($random->shuffleArray($picked)));
            }
            $credit = static fn (array $p): string => (string) Rules::item('marks')->check(ResponseReader::fromArray(['pairs' => $p]))->credit;
            self::assertSame($credit($pairs), $credit($random->shuffleArray($pairs)));
            $points = [[5, 5], [50, 50], [30, 30]];
            $found = static fn (array $p): string => (string) Rules::item('lights')->check(ResponseReader::fromArray(['points' => $p]))->credit;
            self::assertSame($found($points), $found($random->shuffleArray($points)));
        });
    }

    public function testCreditLiesBetweenNoneAndAllForAnyTextWhatsoever(): void
    {
        $rules = ['depth', 'lowest', 'standard', 'surd', 'why', 'bank', 'square', 'factor', 'line', 'checked', 'money'];
        $this->limitTo(60)->forAll(Generators::string())->then(static function (string $text) use ($rules): void {
            foreach ($rules as $rule) {
                $credit = Rules::item($rule)->check(new TextResponse($text))->credit;
                self::assertTrue($credit !== null && !$credit->isNegative() && $credit->isLessThanOrEqualTo(1));
            }
        });
    }

    public function testHostileTextsAreDecided(): void
    {
        $hostile = [
            str_repeat('a ', 10_000),
            str_repeat('* ', 5000),
            str_repeat("\u{202E}x\u{200D}", 5000),
            str_repeat('9', 20_000),
            '9^9^9^9',
            str_repeat('(x+1)', 4000),
            str_repeat('sun moon ', 2000),
            "\xFF\xFE",
            str_repeat("a\u{0301}", 9000),
            '='.str_repeat('1+', 9000),
        ];
        foreach ($hostile as $text) {
            foreach (['depth', 'why', 'bank', 'square', 'expand', 'checked', 'one-blank', 'log'] as $rule) {
                self::assertContains(
                    Rules::item($rule)->check(new TextResponse($text))->verdict->value,
                    ['wrong', 'none', 'part', 'right'],
                );
            }
        }
        $this->expectException(DocumentInvalid::class);
        ResponseReader::fromArray(['text' => str_repeat('x', 1_000_000)]);
    }

    public function testBlanksStandForWords(): void
    {
        $fits = static fn (string $pattern, string $text): bool => WordPattern::of($pattern,
            new Folding())->fits((new Folding())->fold($text));
        foreach ([
            ['*', ''],
            ['*', 'any words'],
            ['_', 'one'],
            ['a * b', 'a b'],
            ['a * b', 'a x y b'],
            ['* a * a *', 'a a'],
            ['a _ _', 'a b c'],
            ['* b', 'b a b'],
            ['* b', 'b b b'],
            ['a * * b', 'a b'],
        ] as [$pattern, $text]) {
            self::assertTrue($fits($pattern, $text), "$pattern ~ $text");
        }
        foreach ([
            ['_', ''],
            ['_', 'two words'],
            ['a * b', 'a x y'],
            ['a', 'a a'],
            ['* a * a *', 'a b'],
            ['a _', 'a'],
            ['', 'a'],
        ] as [$pattern, $text]) {
            self::assertFalse($fits($pattern, $text), "$pattern ~ $text");
        }
    }

    public function testWordsShowValuesAndADashForWhatHasNone(): void
    {
        $names = ['h' => \Brick\Math\BigRational::of('4.4'), 'text' => '<b>'];
        self::assertSame('High 4.4, twice 8.8, none –, {brace}', Template::fill('High {h}, twice {2h}, none {1/0}, {{brace}}', $names));
        self::assertSame('&lt;b&gt;', Template::fill('{text}', $names, true));
        self::assertSame(['h', '2h'], Template::read('{h} and {2h}'));
    }

    public function testADocumentThatSaysMoreThanWeKnowIsRefused(): void
    {
        foreach (['spot' => ['regions' => [['id' => 'a', 'corners' => [[0, 0], [1, 1]]]]], 'match' => [
            'things' => [['id' => 'a']],
            'places' => [],
            'key' => [['a', 'z']],
        ], 'expression' => ['lines' => [['expression' => 'x +']], 'names' => ['x']],
            'gaps' => ['gaps' => [[
                'id' => 'g',
                'type' => 'spot',
                'rule' => [],
            ]]], 'order' => ['things' => [['id' => 'A']]], 'plot' => ['targets' => [['kind' => 'point',
                'x' => 1]]], 'table' => ['rows' => 0, 'columns' => 1], 'number' => ['targets' => [[
                    'value' => '1',
                    'kind' => 'figures',
                    'tolerance' => 0,
                ]]], 'floor' => ['more' => 1]] as $type => $rule) {
            try {
                ItemReader::read(['version' => 1, 'type' => $type, 'prompt' => '', 'points' => '1', 'rule' => $rule]);
                self::fail("$type was read.");
            } catch (DocumentInvalid $e) {
                self::assertNotSame([], $e->problems);
            }
        }
    }

    public function testAKeyThatIsMissingBlocksPublishing(): void
    {
        $rules = [
            'spot' => ['regions' => []],
            'match' => ['things' => [['id' => 'a']], 'places' => [['id' => 'b']], 'key' => []],
            'expression' => ['lines' => [], 'names' => []],
            'gaps' => ['gaps' => []],
            'order' => ['things' => [['id' => 'a']]],
            'plot' => ['targets' => []],
        ];
        foreach ($rules as $type => $rule) {
            $item = ItemReader::read(['version' => 1, 'type' => $type, 'prompt' => '<p>x</p>', 'points' => '1', 'rule' => $rule]);
            self::assertNotSame([], array_filter($item->defects(), static fn ($d): bool => $d->blocks), $type);
        }
    }
}
