<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Sitting\Personal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PersonalTest extends TestCase
{
    private const NAMES = ['Ada Okafor', 'Benoît van der Larsen', 'Li Ó Briain', 'Jean-Luc Marsh'];
    private const QUESTION = 'Mr Marsh walks 1200000 mm along Harbour Street. How many metres is 120 000 cm?';

    #[DataProvider('held')]
    public function testHoldsBackWhatTellsOfAPerson(string $words, Personal $as): void
    {
        self::assertSame($as, Personal::in($words, self::NAMES, self::QUESTION));
    }

    /** @return iterable<string, array{string, Personal}> */
    public static function held(): iterable
    {
        $cases = [
            'a name' => ['It’s me, Ada', 'is that benoit?', "that's Okafor's idea", 'AAADA', 'i am adaaaa', 'a d a here', 'A.d.a', 'adaokafor',
                'ask Li', 'sit next to LARSEN', 'briain knows', 'jean told me', "me: Benoi\u{0302}t"],
            'an address' => ['ada@kelpwick.example', 'write to x at kelpwick dot example', '@tidewatcher', 'see www.kelpwick', 'https://x.y/z',
                'kelpwick.com', 'I live at 12 Old Harbour Road', '4b, Quay Street'],
            'a number' => ['07700 900123', '0770-090-0123', 'call 0 7 7 0 0 9 0 0', '(01632) 960 001', 'o77oo 9oo 123', '+44 1632 960001',
                'oh seven seven double oh nine', 'one, two, three, four, five, six'],
        ];
        foreach ($cases as $as => $said) {
            foreach ($said as $words) {
                yield $words => [$words, Personal::from($as)];
            }
        }
    }

    #[DataProvider('said')]
    public function testLetsTheWorkBeTalkedOf(string $words): void
    {
        self::assertNull(Personal::in($words, self::NAMES, self::QUESTION));
    }

    /** @return iterable<string, array{string}> */
    public static function said(): iterable
    {
        foreach ([
            'Divide by 100, not by 1000', 'I got 1200.5 and then 12', 'Marsh is the one who walks', 'it is 1200000 mm, so 120 000 cm',
            'the adapter', 'you add the sides, then a square', '3, 4, 5, 6, 7, 8, 9', 'it goes 12 metres on the hill', 'take away two or three',
            'van or der is no name here', 'look at that. It is lower', 'start at nought. Me too', 'at the end. then look', 'so li is not written like a name', '2 x 3 = 6', 'a + b = c', '',
            'one two three', '0.333333 is a third',
        ] as $words) {
            yield $words => [$words];
        }
    }

    public function testIsBoundedInTime(): void
    {
        foreach ([str_repeat('a ', 400), str_repeat('1 ', 400), str_repeat('a@', 300), str_repeat('12 a b c ', 100), str_repeat('one ', 200)] as $words) {
            $from = hrtime(true);
            Personal::in($words, self::NAMES, $words);
            self::assertLessThan(200_000_000, hrtime(true) - $from);
        }
    }
}
