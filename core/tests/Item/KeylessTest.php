<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Keyless;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Veil;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A question that stands on paper: its key may be given later. */
final class KeylessTest extends TestCase
{
    /**
     * @param array<string, mixed> $rule
     * @param array<string, mixed> $right
     * @param array<string, mixed> $wrong
     */
    #[DataProvider('rules')]
    public function testAnswersWaitUntilAKeyIsGiven(string $type, array $rule, array $right, array $wrong): void
    {
        $item = self::item($type, $rule);
        foreach ([$right, $wrong] as $response) {
            $outcome = $item->check(ResponseReader::fromArray($response));
            self::assertNull($outcome->credit);
            self::assertSame('by hand', $outcome->verdict->value);
        }
        self::assertSame('none', $item->check(ResponseReader::fromArray(self::blank($type)))->verdict->value);
        self::assertSame([], array_filter($item->defects(), static fn (\ChalkLadder\Core\Item\Defect $d): bool => $d->blocks));

        $given = $item->rule->accepting(ResponseReader::fromArray($right), BigRational::one(), '');
        $known = ItemTemplate::of($item)->withRule($given->toArray())->sample();
        self::assertSame('1', (string) $known->check(ResponseReader::fromArray($right))->credit);
        self::assertSame('0', (string) $known->check(ResponseReader::fromArray($wrong))->credit);
        self::assertFalse($known->rule->waitsForMarker());
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>, array<string, mixed>}> */
    public static function rules(): iterable
    {
        yield 'choice' => ['choice', ['options' => self::options(false)], ['options' => ['b']], ['options' => ['a']]];
        yield 'number' => ['number', ['targets' => []], ['text' => '3.8'], ['text' => '5']];
        yield 'text' => ['text', ['forms' => []], ['text' => 'ebb'], ['text' => 'flood']];
    }

    public function testOffPaperAMissingKeyIsADefectAndNothingIsRight(): void
    {
        $item = self::item('choice', ['options' => self::options(false)], false);
        self::assertNotInstanceOf(Keyless::class, $item->rule);
        self::assertSame('0', (string) $item->check(ResponseReader::fromArray(['options' => ['b']]))->credit);
        self::assertSame('No option is the key.', $item->defects()[0]->message);
    }

    public function testOptionsKeepTheirLettersWithAndWithoutAKey(): void
    {
        foreach ([true, false] as $key) {
            $item = self::item('choice', ['options' => self::options($key)]);
            for ($i = 0; $i < 20; ++$i) {
                $face = $item->face(new Showing(Veil::none(), "seed $i", 'e1', true, 1));
                self::assertIsArray($face['options']);
                self::assertSame(['a', 'b', 'c'], array_column($face['options'], 'id'));
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private static function options(bool $key): array
    {
        return array_map(
            static fn (string $id): array => ['id' => $id, 'text' => '<p>'.strtoupper($id).'</p>', 'key' => $key && $id === 'a'],
            ['a', 'b', 'c'],
        );
    }

    /** @return array<string, mixed> */
    private static function blank(string $type): array
    {
        return $type === 'choice' ? ['options' => []] : ['text' => ''];
    }

    /** @param array<string, mixed> $rule */
    private static function item(string $type, array $rule, bool $onPaper = true): Item
    {
        return ItemReader::read([
            'version' => 1, 'type' => $type, 'title' => 'Question 1', 'prompt' => '<p>Question 1</p>', 'points' => '1', 'skill' => null,
            'hint' => '', 'explanation' => '', 'rule' => $rule, 'onPaper' => $onPaper,
        ]);
    }
}
