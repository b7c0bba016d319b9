<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Cell;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CellTest extends TestCase
{
    /** @return iterable<string, array{non-empty-list<array{Cell, float|null}>, Cell, float|null}> */
    public static function attempts(): iterable
    {
        yield 'one alone is itself' => [[[Cell::Answered, 0.5]], Cell::Answered, 0.5];
        yield 'the mean of two' => [[[Cell::Answered, 1.0], [Cell::Answered, 0.5]], Cell::Answered, 0.75];
        yield 'an omitted one earns nothing' => [[[Cell::Answered, 1.0], [Cell::Omitted, 0.0]], Cell::Answered, 0.5];
        yield 'omitted in all' => [[[Cell::Omitted, 0.0], [Cell::Omitted, 0.0]], Cell::Omitted, 0.0];
        yield 'not reached and not given say nothing' => [
            [[Cell::NotReached, null], [Cell::Answered, 1.0], [Cell::NotGiven, null]],
            Cell::Answered,
            1.0,
        ];
        yield 'never answered, once not reached' => [[[Cell::NotGiven, null], [Cell::NotReached, null]], Cell::NotReached, null];
        yield 'given in none' => [[[Cell::NotGiven, null], [Cell::NotGiven, null]], Cell::NotGiven, null];
        yield 'the whole waits for the part that waits' => [[[Cell::Answered, 1.0], [Cell::Waiting, null]], Cell::Waiting, null];
    }

    /** @param non-empty-list<array{Cell, float|null}> $attempts */
    #[DataProvider('attempts')]
    public function testAttemptsComeToTheirMean(array $attempts, Cell $cell, ?float $credit): void
    {
        self::assertSame([$cell, $credit], Cell::mean($attempts));
    }
}
