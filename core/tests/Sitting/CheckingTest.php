<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\Response\TextResponse;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\Checking;
use PHPUnit\Framework\TestCase;

final class CheckingTest extends TestCase
{
    public function testACheckSeesTheLatestTryOfAnEarlierQuestion(): void
    {
        $own = self::questions([
            'a' => [],
            'b' => [['when' => 'answer = 2 * q1.answer', 'credit' => '1/2', 'feedback' => 'Twice {q1.answer}.']],
        ]);
        $checking = new Checking(self::paper(['a', 'b']), $own, ['a' => [2 => new TextResponse('5'), 1 => new TextResponse('4')]]);

        self::assertSame('part', $checking->outcome('b', new TextResponse('10'), 1)->verdict->value);
        self::assertSame('Twice 5.', $checking->outcome('b', new TextResponse('10'), 1)->feedback);
        self::assertSame('wrong', $checking->outcome('b', new TextResponse('8'), 1)->verdict->value, 'the first try is past');
        self::assertSame('right', $checking->outcome('b', new TextResponse('3'), 1)->verdict->value, 'the rule follows where no check holds');
    }

    public function testWithoutAnEarlierAnswerTheCheckDoesNotHold(): void
    {
        $own = self::questions(['a' => [], 'b' => [['when' => 'answer = q1.answer', 'credit' => '1']]]);
        foreach ([[], ['a' => [1 => new TextResponse('')]]] as $given) {
            self::assertSame(
                'wrong',
                (new Checking(self::paper(['a', 'b']), $own, $given))->outcome('b', new TextResponse('5'), 1)->verdict->value,
            );
        }
    }

    public function testOnlyQuestionsBeforeItInItsSectionAreSeen(): void
    {
        $own = self::questions([
            'a' => [['when' => 'q2.answer = 1', 'credit' => '1']],
            'b' => [],
            'c' => [['when' => 'q1.answer = 1', 'credit' => '1']],
        ]);
        $paper = PaperReader::read([
            'version' => 1,
            'title' => 'P',
            'mastery' => null,
            'sections' => [self::section('s1', ['a', 'b']), self::section('s2', ['c'])],
        ]);
        $checking = new Checking($paper, $own, ['a' => [1 => new TextResponse('1')], 'b' => [1 => new TextResponse('1')]]);
        self::assertSame('wrong', $checking->outcome('a', new TextResponse('9'), 1)->verdict->value);
        self::assertSame('wrong', $checking->outcome('c', new TextResponse('9'), 1)->verdict->value);
        self::assertSame('none', $checking->outcome('unknown', new TextResponse('9'), 1)->verdict->value);
    }

    private static function h(OwnItem $own): float
    {
        $h = $own->numbers['h'];

        return $h instanceof BigRational ? $h->toFloat() : self::fail('h is a number.');
    }

    public function testOwnNumbersStayWithTheirSeed(): void
    {
        $template = ItemTemplate::read([
            'variables' => [['name' => 'h', 'from' => '4', 'to' => '9', 'step' => '0.1']],
            'rule' => ['targets' => [['value' => '= h + 1']]],
            'prompt' => '<p>One more than {h}?</p>',
        ] + self::document([]));
        $seen = [];
        foreach (['ada', 'ben', 'cleo', 'dee'] as $seed) {
            $own = $template->own($seed);
            self::assertEquals($own, $template->own($seed));
            self::assertSame('right', $own->check(new TextResponse((string) (self::h($own) + 1)))->verdict->value);
            self::assertStringNotContainsString('{', $own->item->prompt);
            $seen[] = (string) $own->numbers['h'];
        }
        self::assertGreaterThan(2, count(array_unique($seen)));
        $changed = $template->withRule(['targets' => [['value' => '= h + 2']]]);
        self::assertSame(
            'right',
            $changed->with($template->own('ada')->numbers)
                ->check(new TextResponse((string) (self::h($template->own('ada')) + 2)))
                ->verdict->value,
            'a new rule for the same numbers',
        );
    }

    public function testWithoutVariablesBracesAreBraces(): void
    {
        $plain = ItemTemplate::read(['prompt' => '<p>The set {1, 2}?</p>'] + self::document([]));
        self::assertFalse($plain->hasVariables());
        self::assertSame('<p>The set {1, 2}?</p>', $plain->own('any')->item->prompt);
        self::assertSame([], $plain->own('any')->numbers);
        self::assertEquals(ItemReader::read($plain->toArray()), $plain->sample());
    }

    /**
     * @param array<string, list<array<string, string>>> $checks by entry
     *
     * @return \Closure(string, int): (OwnItem|null)
     */
    private static function questions(array $checks): \Closure
    {
        $own = array_map(static fn (array $c): OwnItem => new OwnItem(ItemReader::read(self::document($c))), $checks);

        return static fn (string $entry, int $try): ?OwnItem => $own[$entry] ?? null;
    }

    /**
     * @param list<array<string, string>> $checks
     *
     * @return array<string, mixed>
     */
    private static function document(array $checks): array
    {
        return [
            'version' => 1,
            'type' => 'number',
            'title' => 'N',
            'prompt' => '<p>How many?</p>',
            'points' => '1',
            'rule' => ['targets' => [['value' => '3']]],
            'checks' => $checks,
        ];
    }

    /** @param list<string> $entries */
    private static function paper(array $entries): Paper
    {
        return PaperReader::read(['version' => 1, 'title' => 'P', 'mastery' => null, 'sections' => [self::section('s1', $entries)]]);
    }

    /**
     * @param list<string> $entries
     *
     * @return array<string, mixed>
     */
    private static function section(string $id, array $entries): array
    {
        return [
            'id' => $id,
            'title' => $id,
            'entries' => array_map(
                static fn (string $e): array => ['id' => $e, 'kind' => 'question', 'item' => $e, 'points' => '1'],
                $entries,
            ),
            'route' => null,
        ];
    }
}
