<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Said;
use ChalkLadder\Core\Item\Template;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is told to those who answer so. */
final class SaidTest extends TestCase
{
    #[DataProvider('words')]
    public function testPlainWordsAreNeverReadAsRichText(string $words, bool $rich, string $html): void
    {
        self::assertSame([$rich, $html], [Said::isRich($words), Said::html($words)]);
    }

    /** @return iterable<string, array{string, bool, string}> */
    public static function words(): iterable
    {
        yield 'nothing' => ['', false, ''];
        yield 'plain' => ['You forgot to subtract.', false, '<p>You forgot to subtract.</p>'];
        yield 'signs' => ['a < b & b > c', false, '<p>a &lt; b &amp; b &gt; c</p>'];
        yield 'a sign in front' => ['<3 is wrong', false, '<p>&lt;3 is wrong</p>'];
        yield 'another element' => ['<script>x</script>', false, '<p>&lt;script&gt;x&lt;/script&gt;</p>'];
        yield 'a word like one' => ['<pilot>', false, '<p>&lt;pilot&gt;</p>'];
        yield 'rich' => ['<p>See <span data-math="x^2"></span></p>', true, '<p>See <span data-math="x^2"></span></p>'];
    }

    public function testWhatSeveralLinesSayStandsTogetherOnce(): void
    {
        self::assertSame('One. Two.', Said::together(['One.', '', 'Two.', 'One.']));
        self::assertSame('<p>1 &lt; 2</p><p><strong>Two</strong></p>', Said::together(['1 < 2', '<p><strong>Two</strong></p>']));
        self::assertSame('', Said::together(['', '']));
        $gaps = ItemReader::readRule(ItemType::Gaps, ['gaps' => [
            ['id' => 'a', 'type' => 'text', 'rule' => ['forms' => [['text' => 'ebb'], ['text' => 'flow', 'credit' => '0', 'feedback' => 'Out & in']]]],
            ['id' => 'b', 'type' => 'text', 'rule' => ['forms' => [['text' => 'x', 'feedback' => '<p>Good: <em>x</em></p>']]]],
        ]]);
        self::assertSame(
            '<p>Out &amp; in</p><p>Good: <em>x</em></p>',
            $gaps->check(ResponseReader::fromArray(['gaps' => ['a' => 'flow', 'b' => 'x']]))->feedback,
        );
    }

    public function testValuesAreEscapedInRichTextAlone(): void
    {
        self::assertSame('a<b', Said::filled('{w}', ['w' => 'a<b']));
        self::assertSame('<p>a&lt;b</p>', Said::filled('<p>{w}</p>', ['w' => 'a<b']));
        $item = ItemTemplate::read([
            'version' => 1, 'type' => 'number', 'title' => 't', 'prompt' => '<p>{h}?</p>', 'points' => '1', 'skill' => null,
            'variables' => [['name' => 'ship', 'columns' => ['name', 'h'], 'rows' => [['Tern & Co', '2']]]],
            'rule' => ['targets' => [['value' => '= h'], ['value' => '= h + 1', 'credit' => '0', 'feedback' => '<p>{name} &lt; {h + 1}</p>'], ['value' => '9', 'credit' => '0', 'feedback' => '{name} < 9']]],
        ])->item(['name' => 'Tern & Co', 'h' => BigRational::of(2)]);
        $told = static fn (string $text): string => $item->check(ResponseReader::fromArray(['text' => $text]))->feedback;
        self::assertSame(['<p>Tern &amp; Co &lt; 3</p>', 'Tern & Co < 9'], [$told('3'), $told('9')]);
    }

    public function testWithinMathsBracesAreItsOwn(): void
    {
        $text = '<p>{h} m: <span data-math="\\frac{1}{12} \\cdot {&#61; h - 1} &#61; {= (h - 1) / 2}"></span> {{h}}</p>';
        self::assertSame(['h', ' h - 1', ' (h - 1) / 2'], Template::read($text));
        self::assertSame(
            '<p>5 m: <span data-math="\\frac{1}{12} \\cdot 4 &#61; 2"></span> {h}</p>',
            Template::fill($text, ['h' => BigRational::of(5)], true),
        );
    }

    public function testAPictureInWhatIsToldBelongsToTheQuestion(): void
    {
        $id = '0190c2f4-7d3e-7000-8000-000000000001';
        $item = ItemReader::read([
            'version' => 1, 'type' => 'choice', 'title' => 't', 'prompt' => '<p>?</p>', 'points' => '1', 'skill' => null,
            'rule' => ['options' => [['id' => 'a', 'text' => 'A', 'key' => true], ['id' => 'b', 'text' => 'B', 'feedback' => "<p><img data-file=\"$id\" alt=\"\"></p>"]]],
        ]);
        self::assertSame([$id], $item->files());
    }
}
