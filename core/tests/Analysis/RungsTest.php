<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Rungs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RungsTest extends TestCase
{
    public function testACutIsReachedByWhoeverHasJustThatMuch(): void
    {
        $rungs = Rungs::named([['name' => 'shore', 'from' => 0], ['name' => ' open  sea ', 'from' => 29], ['name' => 'far', 'from' => 58]]);
        self::assertSame([1, 1, 2, 2, 3], array_map($rungs->reached(...), [0.0, 0.2899, 0.29, 57 / 100, 0.29 + 0.29]));
        self::assertSame(['shore', 'far', ''], [$rungs->name(1), $rungs->name(3), $rungs->name(4)]);
    }

    /** @param list<array{name: string, from: int}> $bands */
    #[DataProvider('what')]
    public function testWhatCannotBeIsSaidInWords(array $bands, string $says): void
    {
        $this->expectExceptionMessage($says);
        Rungs::named($bands);
    }

    /** @return iterable<string, array{list<array{name: string, from: int}>, string}> */
    public static function what(): iterable
    {
        $low = ['name' => 'low', 'from' => 0];
        yield 'one alone' => [[$low], 'There are 2 to 6 rungs.'];
        yield 'too many' => [[$low, ...array_map(static fn (int $i): array => ['name' => "r$i", 'from' => 10 * $i], range(1, 6))], 'There are 2 to 6 rungs.'];
        yield 'no name' => [[$low, ['name' => ' ', 'from' => 50]], 'Name rung 2.'];
        yield 'a long name' => [[$low, ['name' => str_repeat('x', 25), 'from' => 50]], 'is longer than 24 letters.'];
        yield 'twice the same' => [[$low, ['name' => 'LOW', 'from' => 50]], 'Two rungs are called “LOW”.'];
        yield 'nothing below' => [[['name' => 'low', 'from' => 5], ['name' => 'high', 'from' => 50]], 'The lowest rung begins at 0 %.'];
        yield 'not rising' => [[$low, ['name' => 'mid', 'from' => 50], ['name' => 'high', 'from' => 50]], '“high” begins above the rung below it: at more than 50 %.'];
        yield 'out of reach' => [[$low, ['name' => 'high', 'from' => 101]], '“high” cannot begin above 100 %.'];
    }
}
