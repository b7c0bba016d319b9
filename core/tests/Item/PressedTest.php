<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Pressed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PressedTest extends TestCase
{
    /**
     * @param array<string, mixed>      $rule
     * @param array<string, mixed>|null $response
     */
    #[DataProvider('presses')]
    public function testALetterIsAnOptionAndTheRestIsTyped(string $type, array $rule, string $keys, ?array $response): void
    {
        $item = ItemReader::read([
            'version' => 1, 'type' => $type, 'title' => 'x', 'prompt' => '<p>x</p>', 'points' => '1', 'skill' => null, 'hint' => '',
            'explanation' => '', 'rule' => $rule, 'onPaper' => true,
        ]);
        self::assertSame($response, Pressed::response($item->rule, $keys)?->toArray());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, array<string, mixed>|null}> */
    public static function presses(): iterable
    {
        $choice = ['several' => true, 'options' => [['id' => 'x1', 'text' => 'A', 'key' => true], ['id' => 'x2', 'text' => 'B', 'key' => false]]];
        $keyless = ['options' => [['id' => 'a', 'text' => 'A', 'key' => false], ['id' => 'b', 'text' => 'B', 'key' => false]]];
        yield 'a letter' => ['choice', $choice, 'B', ['options' => ['x2']]];
        yield 'in either case' => ['choice', $choice, 'b ', ['options' => ['x2']]];
        yield 'several, one twice' => ['choice', $choice, 'ABA', ['options' => ['x1', 'x2']]];
        yield 'no such letter' => ['choice', $choice, 'E', null];
        yield 'nothing' => ['choice', $choice, ' ', null];
        yield 'before there is a key' => ['choice', $keyless, 'A', ['options' => ['a']]];
        yield 'a number' => ['number', ['targets' => []], '3.8', ['text' => '3.8']];
        yield 'a word' => ['text', ['forms' => [['text' => 'ebb', 'credit' => '1']]], 'ebb', ['text' => 'ebb']];
        yield 'nothing typed' => ['text', ['forms' => []], ' ', null];
        yield 'an explanation' => ['open', ['criteria' => []], 'B', null];
    }
}
