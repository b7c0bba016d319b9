<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ItemReaderTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> a change to a good question, and the path that must be named */
    public static function faults(): iterable
    {
        yield 'another version' => [['version' => 2], 'version'];
        yield 'unknown type' => [['type' => 'riddle'], 'type'];
        yield 'unknown key' => [['colour' => 'red'], 'colour'];
        yield 'points as words' => [['points' => 'many'], 'points'];
        yield 'negative points' => [['points' => '-1'], 'points'];
        yield 'zero below the line' => [['points' => '1/0'], 'points'];
        yield 'a prompt that is a number' => [['prompt' => 5], 'prompt'];
        yield 'a prompt too long' => [['prompt' => str_repeat('x', 20_001)], 'prompt'];
        yield 'no rule' => [['rule' => null], 'rule'];
        yield 'options that are text' => [['rule' => ['options' => 'a, b']], 'rule.options'];
        yield 'two options with one id' => [
            ['rule' => ['options' => [['id' => 'a', 'text' => ''], ['id' => 'a', 'text' => '']]]],
            'rule.options.1.id',
        ];
        yield 'a rule of another type' => [['rule' => ['forms' => []]], 'rule.forms'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('faults')]
    public function testNamesThePlaceThatIsWrong(array $change, string $path): void
    {
        try {
            ItemReader::read(array_merge(Rules::item('one')->toArray(), $change));
            self::fail('It was read.');
        } catch (DocumentInvalid $e) {
            self::assertContains($path, array_map(static fn ($p): string => $p->path, $e->problems));
        }
    }

    public function testHintsKeepTheirOrderAndCosts(): void
    {
        $plain = Rules::item('one')->toArray();
        $step = static fn (string $text, string $cost): array => ['text' => $text, 'cost' => $cost];
        $first = ItemReader::read(['hint' => '<p>1</p>', 'hints' => [$step('<p>2</p>', '1/4'), $step('<p>3</p>', '1/2')]] + $plain);
        self::assertSame(['0', '1/4', '3/4', '3/4'], array_map(static fn (int $n): string => (string) $first->costOf($n), [1, 2, 3, 9]));
        self::assertSame($first->toArray(), ItemReader::read($first->toArray())->toArray());
        self::assertSame('<p>1</p>', $first->toArray()['hint'], 'as it stood before hints had steps');

        $dear = ItemReader::read(['hint' => '', 'hints' => [$step('<p>1</p>', '1/2')]] + $plain);
        self::assertSame([['text' => '<p>1</p>', 'cost' => '1/2']], $dear->toArray()['hints']);
        self::assertArrayNotHasKey('hints', ItemReader::read(['hint' => '<p>1</p>'] + $plain)->toArray());
        $this->expectException(DocumentInvalid::class);
        ItemReader::read(['hint' => '<p>1</p>', 'hints' => array_fill(0, 5, $step('', '0'))] + $plain);
    }

    public function testWhatHintsCostComesOffWhatWasEarnedAndNeverMore(): void
    {
        $item = ItemReader::read(['hints' => [['text' => '<p>1</p>', 'cost' => '1/4'], ['text' => '<p>2</p>', 'cost' => '1']]]
            + Rules::item('one')->toArray());
        $left = static fn (string $credit, int $opened): string => (string) $item->afterHints(BigRational::of($credit), $opened);
        self::assertSame(['1', '3/4', '1/12', '0', '0'], [$left('1', 0), $left('1', 1), $left('1/3', 1), $left('1/5', 1), $left('1', 2)]);
        self::assertNull($item->afterHints(null, 2), 'what waits for a marker goes on waiting');
        self::assertContains('Who opens all hints can earn nothing any more.', array_map(static fn (Defect $d): string => $d->message, $item->defects()));
    }

    public function testFindsEveryFaultInOnePass(): void
    {
        try {
            ItemReader::read([
                'version' => 1,
                'type' => 'number',
                'prompt' => 1,
                'points' => 'x',
                'rule' => ['targets' => [['value' => 'y']], 'unit' => 'stone'],
            ]);
            self::fail('It was read.');
        } catch (DocumentInvalid $e) {
            self::assertSame(
                ['prompt', 'points', 'rule.targets.0.value', 'rule.unit'],
                self::sorted($e, ['prompt', 'points', 'rule.targets.0.value', 'rule.unit']),
            );
        }
    }

    public function testDefectsTellWhatBlocksPublishing(): void
    {
        $blocking = static fn (array $item): array => array_values(array_map(
            static fn (Defect $d): string => $d->message,
            array_filter(ItemReader::read($item)->defects(), static fn (Defect $d): bool => $d->blocks),
        ));
        $item = Rules::item('one')->toArray();
        self::assertSame([], $blocking($item));
        self::assertSame(
            ['No option is the key.', 'The prompt is empty.', 'The question is worth zero points.'],
            $blocking([
                'prompt' => '<p> </p>',
                'points' => '0',
                'rule' => ['options' => [['id' => 'a', 'text' => 'x'], ['id' => 'b', 'text' => 'y']]],
            ] + $item),
        );
        self::assertSame(
            ['Options A and B say the same.'],
            $blocking(['rule' => ['options' => [
                ['id' => 'a', 'text' => '<p>3.8 m</p>', 'key' => true],
                ['id' => 'b', 'text' => '3.8  M'],
            ]]] + $item),
        );
    }

    /**
     * @param list<string> $expected
     *
     * @return list<string> the expected paths that were named
     */
    private static function sorted(DocumentInvalid $e, array $expected): array
    {
        $named = array_map(static fn ($p): string => $p->path, $e->problems);

        return array_values(array_filter($expected, static fn (string $p): bool => in_array($p, $named, true)));
    }
}
