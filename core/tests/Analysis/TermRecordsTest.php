<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\Prevalence;
use ChalkLadder\Core\Analysis\SkillRecord;
use PHPUnit\Framework\TestCase;

/** What is known of skills and wrong ideas over all that was asked. */
final class TermRecordsTest extends TestCase
{
    public function testAStudentWhoMetAnIdeaOftenIsOneStudent(): void
    {
        $figure = Prevalence::of(['ada', 'bo', 'ada', 'cleo', 'dov'], ['ada', 'ada', 'nobody who met it']);
        self::assertSame([0.25, 4, 'few'], [$figure->value, $figure->n, $figure->note]);
        self::assertSame(Intervals::wilson(1.0, 4), [$figure->low, $figure->high]);
        self::assertSame([null, 0], [Prevalence::of([], [])->value, Prevalence::of([], [])->n]);
    }

    public function testASkillsRecordIsTheMeanOfAllAnswersWithStudentsAsClusters(): void
    {
        $figure = SkillRecord::of([[1.0, 0.5, 0.0], [1.0], [0.0, 0.0]]);
        self::assertEqualsWithDelta(2.5 / 6, $figure->value, 1e-12);
        self::assertSame(3, $figure->n);
        // Six answers of one student say less than one answer each of six.
        $one = SkillRecord::of([array_fill(0, 6, 1.0), array_fill(0, 6, 0.0), array_fill(0, 6, 1.0), array_fill(0, 6, 0.0)]);
        $many = SkillRecord::of(array_map(static fn (int $i): array => [(float) ($i % 2)], range(0, 23)));
        self::assertEqualsWithDelta(0.5, $one->value, 1e-12);
        $width = static fn (Figure $f): float => ($f->high ?? 0.0) - ($f->low ?? 0.0);
        self::assertGreaterThan($width($many), $width($one));
        self::assertNull(SkillRecord::of([])->value);
    }
}
