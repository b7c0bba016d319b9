<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ProposedQuestion;
use ChalkLadder\Core\Item\ResponseReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A question as a student writes one. */
final class ProposedQuestionTest extends TestCase
{
    private const GOOD = [
        'prompt' => " A chart is 1 : 50 000. How far is 2 cm?\n", 'key' => 1, 'because' => '2 × 50 000 cm is 1 km.',
        'options' => [['text' => '25 km', 'why' => 'Divides instead of multiplying'], ['text' => '1 km', 'why' => 'told by mistake'], ['text' => '100 m', 'why' => 'Forgets the cm']],
    ];

    public function testItBecomesAChoiceThatIsMarkedAndAnsweredWithItsReasons(): void
    {
        $written = ProposedQuestion::read(self::GOOD);
        $item = ItemReader::read($written->asQuestion());

        self::assertSame([], array_filter($item->defects(), static fn (Defect $d): bool => $d->blocks));
        self::assertSame(['<p>A chart is 1 : 50 000. How far is 2 cm?</p>', 'A chart is 1 : 50 000. How far is 2 cm?'], [$item->prompt, $item->title]);
        $right = $item->check(ResponseReader::fromArray(['options' => ['b']]));
        $wrong = $item->check(ResponseReader::fromArray(['options' => ['a']]));
        self::assertSame(['1', '0'], [(string) $right->credit, (string) $wrong->credit]);
        self::assertSame(['', 'Divides instead of multiplying'], [$right->feedback, $wrong->feedback]);
        self::assertSame($written->toArray(), ProposedQuestion::read($written->toArray())->toArray());
    }

    public function testWhatAStudentTypesIsNeverMarkup(): void
    {
        $item = ItemReader::read(ProposedQuestion::read([
            'prompt' => "<script>alert(1)</script>\nIs 2 < 3?", 'key' => 0, 'because' => '<b>',
            'options' => [['text' => '<img src=x>', 'why' => ''], ['text' => '"no"', 'why' => 'Reads < as >'], ['text' => '{h}', 'why' => '<p onclick="x()">a {k} & b']],
        ])->asQuestion());

        self::assertSame('<p>&lt;script&gt;alert(1)&lt;/script&gt;<br>Is 2 &lt; 3?</p>', $item->prompt);
        self::assertSame('<p>&lt;b&gt;</p>', $item->explanation);
        $told = static fn (string $id): string => $item->check(ResponseReader::fromArray(['options' => [$id]]))->feedback;
        self::assertSame('Reads < as >', $told('b'));
        self::assertSame('<p>&lt;p onclick=&quot;x()&quot;&gt;a {k} &amp; b</p>', $told('c'));
        self::assertStringNotContainsString('<img', json_encode($item->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        $options = self::GOOD['options'];
        yield 'nothing asked' => [['prompt' => "  \n"], 'prompt', 'Ask something.'];
        yield 'a wrong one without a reason' => [['options' => [['text' => 'x', 'why' => ' ']] + $options], 'options.0.why', 'Say why somebody would take this one.'];
        yield 'an empty option' => [['options' => [...$options, ['text' => ' ', 'why' => 'w']]], 'options.3.text', 'Write this option, or take it out.'];
        yield 'two that say the same' => [['options' => [...$options, ['text' => '1  KM', 'why' => 'w']]], 'options.3.text', 'This says the same as an option above.'];
        yield 'one option' => [['options' => [$options[0]], 'key' => 0], 'options', 'Give at least two options.'];
        yield 'no option is right' => [['key' => 3], 'key', 'Say which one is right.'];
        yield 'too many' => [['options' => array_map(static fn (int $i): array => ['text' => "o$i", 'why' => 'w'], range(1, 7))], 'options', 'There are 7 here; at most 6 are allowed.'];
        yield 'too long' => [['prompt' => str_repeat('x', 1001)], 'prompt', 'This is 1001 characters long; at most 1000 are kept.'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('bad')]
    public function testWhatIsMissingIsSaidWhereItIs(array $change, string $path, string $message): void
    {
        try {
            ProposedQuestion::read($change + self::GOOD);
            self::fail('It was read.');
        } catch (DocumentInvalid $e) {
            self::assertSame([$path => $message], array_column($e->problems, 'message', 'path'));
        }
    }
}
