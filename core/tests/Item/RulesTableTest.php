<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Type\Choice\ChoiceResponse;
use ChalkLadder\Core\Item\Type\Choice\ChoiceRule;
use ChalkLadder\Core\Item\Type\Choice\Option;
use ChalkLadder\Core\Item\Type\Open\OpenRule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RulesTableTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string, string}> */
    public static function lines(): iterable
    {
        foreach ((array) file(__DIR__.'/responses.tsv', FILE_IGNORE_NEW_LINES) as $line) {
            $line = (string) $line;
            if ($line !== '' && $line[0] !== '#') {
                [$rule, $response, $verdict, $credit, $fired] = explode("\t", $line) + ['', '', '', '', ''];
                yield "$rule: $response" => [$rule, $response, $verdict, $credit, $fired];
            }
        }
    }

    #[DataProvider('lines')]
    public function testEachResponseGetsItsVerdict(string $rule, string $response, string $verdict, string $credit, string $line): void
    {
        $outcome = Rules::item($rule)->check(self::response($response));

        self::assertSame($verdict, $outcome->verdict->value);
        self::assertSame($credit, $outcome->credit === null ? '' : (string) $outcome->credit);
        self::assertSame($line, $outcome->line);
    }

    #[DataProvider('lines')]
    public function testARuleReadBackFromItsJsonDecidesTheSame(string $rule, string $response, string $verdict): void
    {
        $item = Rules::item($rule);
        $json = json_decode(json_encode($item->toArray(), JSON_THROW_ON_ERROR), true);
        self::assertIsArray($json);
        $again = ItemReader::read($json);

        self::assertSame($item->toArray(), $again->toArray());
        self::assertSame($verdict, $again->check(self::response($response))->verdict->value);
    }

    #[DataProvider('lines')]
    public function testACreditIsAmongThoseThatTheQuestionSaysItGives(string $rule, string $response, string $verdict, string $credit): void
    {
        $listed = Rules::item($rule)->credits();

        self::assertTrue($listed === null || $credit === '' || in_array($credit, array_map(strval(...), $listed), true), $credit);
    }

    public function testCreditsAreListedForWhatIsPickedOrTyped(): void
    {
        $listed = static fn (string $rule): array => array_map(strval(...), Rules::item($rule)->credits() ?? []);

        self::assertSame(['0', '1'], $listed('one'));
        self::assertContains('0', $listed('depth'));
        self::assertContains('1', $listed('depth'));
        self::assertSame([], $listed('open'));
    }

    public function testAVersionPutsOptionsInAnotherOrderTheLastWhereItIsToStayAndNothingElse(): void
    {
        $ids = static fn (ChoiceRule $rule): string => implode('', array_column($rule->options, 'id'));
        $option = static fn (string $id): Option => new Option($id, "<p>$id</p>", $id === 'b');
        $options = array_map($option, ['a', 'b', 'c', 'd', 'e']);
        $free = new ChoiceRule($options, false, false, false);
        $orders = array_map(static fn (int $seed): string => $ids($free->version("s$seed")), range(1, 30));

        self::assertSame($ids($free->version('one')), $ids($free->version('one')));
        self::assertGreaterThan(20, count(array_unique($orders)));
        foreach (range(1, 30) as $seed) {
            self::assertStringEndsWith('e', $ids((new ChoiceRule($options, false, false, true))->version("s$seed")));
        }
        self::assertSame('1', (string) $free->version('one')->check(ChoiceResponse::of('b'))->credit);
        $typed = Rules::table()['depth'];
        self::assertSame($typed, $typed->version('one'));
    }

    public function testAWrongAnswerCarriesItsMeaning(): void
    {
        $choice = Rules::table()['one']->check(ChoiceResponse::of('b'));
        self::assertSame(['idea-b'], $choice->misconceptions);
        self::assertSame('about b', $choice->feedback);
        self::assertSame('B', $choice->readAs);

        $number = Rules::table()['depth']->check(new TextResponse('3.33'));
        self::assertSame(['idea-even'], $number->misconceptions);
        self::assertSame('3.33 m', $number->readAs);
    }

    public function testRubricLevelsBecomeCreditOnceAllAreChosen(): void
    {
        $rule = Rules::table()['open'];
        self::assertInstanceOf(OpenRule::class, $rule);

        self::assertNull($rule->creditFor([1, null]));
        self::assertSame('3/5', (string) $rule->creditFor([1, 1]));
        self::assertSame('1', (string) $rule->creditFor([2, 1]));
        self::assertSame(['idea-moon'], $rule->misconceptionsOf([0, 1]));
        self::assertSame([], $rule->misconceptionsOf([1, 1]));
    }

    public function testARubricWhoseLevelsWouldBeRoundedIsADefect(): void
    {
        $rule = Rules::table()['open'];
        self::assertInstanceOf(OpenRule::class, $rule);

        self::assertSame([], $rule->misfits(BigRational::of(5)));
        self::assertSame([], $rule->misfits(BigRational::of('5/2')), 'halves are marks');
        $defects = $rule->misfits(BigRational::of(4));
        self::assertCount(1, $defects);
        self::assertFalse($defects[0]->blocks);
        self::assertStringContainsString('The rubric adds up to 5, the question is worth 4:', $defects[0]->message);
        self::assertSame([], (new OpenRule([]))->misfits(BigRational::of(4)));
    }

    /** `[a,b]` are picked options, `{…}` a response in its JSON form, anything else a text. */
    public static function response(string $text): Response
    {
        if (str_starts_with($text, '{')) {
            $json = json_decode($text, true, 16, JSON_THROW_ON_ERROR);

            return ResponseReader::fromArray(is_array($json) ? $json : []);
        }

        return preg_match('/^\[(.*)\]$/', $text, $m) === 1 ? ChoiceResponse::of(...array_filter(
            explode(',', $m[1]),
            static fn (string $o): bool => $o !== '',
        )) : new TextResponse($text);
    }
}
