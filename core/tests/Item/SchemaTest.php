<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Item\ItemReader;
use JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The published schema says of a document what the reader says. */
final class SchemaTest extends TestCase
{
    /** @return iterable<string, array{array<array-key, mixed>}> */
    public static function questions(): iterable
    {
        $rules = json_decode((string) file_get_contents(__DIR__.'/rules.json'), true, 64, JSON_THROW_ON_ERROR);
        foreach (is_array($rules) ? $rules : [] as $name => $document) {
            yield (string) $name => [(is_array($document) ? $document : []) + ['version' => 1, 'prompt' => '', 'points' => '1']];
        }
        foreach (array_keys(Rules::table()) as $name) {
            yield $name => [Rules::item($name)->toArray()];
        }
    }

    /** @param array<array-key, mixed> $document */
    #[DataProvider('questions')]
    public function testWhatTheReaderReadsAndWritesTheSchemaAllows(array $document): void
    {
        self::assertSame([], self::faults($document));
        self::assertSame([], self::faults(ItemReader::read($document)->toArray()));
    }

    public function testWhatTheReaderRefusesTheSchemaRefuses(): void
    {
        $good = Rules::item('depth')->toArray();
        foreach ([
            ['version' => 2],
            ['type' => 'riddle'],
            ['more' => 1],
            ['rule' => ['targets' => [['value' => '1', 'kind' => 'nearly']]]],
            ['rule' => ['options' => []]],
            ['checks' => [['feedback' => 'no condition']]],
        ] as $bad) {
            self::assertNotSame([], self::faults($bad + $good));
        }
    }

    /**
     * @param array<array-key, mixed> $document
     *
     * @return list<string>
     */
    private static function faults(array $document): array
    {
        $value = json_decode(json_encode($document, JSON_THROW_ON_ERROR));
        $validator = new Validator();
        $validator->validate($value, json_decode((string) file_get_contents(dirname(__DIR__, 3).'/docs/formats/question.schema.json')));

        return array_values(array_map(static fn (mixed $e): string => json_encode($e, JSON_THROW_ON_ERROR), $validator->getErrors()));
    }
}
