<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

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
