<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\Visit;
use ChalkLadder\Core\Sitting\Walk;
use PHPUnit\Framework\TestCase;

/** Somebody at work when the paper is mended. */
final class MovedWayTest extends TestCase
{
    public function testTheOpenPassLosesWhatIsGoneAndGetsWhatIsNewWhereItIsWritten(): void
    {
        $then = self::paper(['one' => ['a', 'b', 'c']]);
        $now = self::paper(['one' => ['a', 'new', 'c', 'last']]);
        self::assertSame(['a', 'new', 'c', 'last'], self::moved(self::begun($then), $then, $now)->current()?->entries);
    }

    public function testAnOtherOrderIsTheOrderOfWhoeverHasTheWrittenOne(): void
    {
        $then = self::paper(['one' => ['a', 'b', 'c']]);
        $now = self::paper(['one' => ['c', 'a', 'b']]);
        self::assertSame(['c', 'a', 'b'], self::moved(self::begun($then), $then, $now)->current()?->entries);
    }

    public function testWhoHasAnOrderOfTheirOwnKeepsIt(): void
    {
        $mixed = new Conditions(shuffleQuestions: true);
        $then = self::paper(['one' => ['a', 'b', 'c', 'd', 'e', 'f']]);
        $now = self::paper(['one' => ['a', 'b', 'new', 'd', 'e', 'f']]);
        foreach (['one', 'two', 'three', 'four'] as $seed) {
            $walk = Walk::start($then, $mixed, $seed);
            $before = array_values(array_diff($walk->current()->entries ?? [], ['c']));
            $after = $walk->onto($then, $now, $mixed, $seed)->current()->entries ?? [];
            self::assertContains('new', $after);
            self::assertSame($before, array_values(array_diff($after, ['new'])), $seed);
        }
    }

    public function testADrawGivesNoMoreThanItDidAndTakesNothingAway(): void
    {
        $then = self::paper(['one' => ['a', 'b', 'c', 'd']], 2);
        $now = self::paper(['one' => ['b', 'c', 'd', 'e', 'f', 'g']], 2);
        $losing = 0;
        for ($i = 0; $i < 40; ++$i) {
            $walk = Walk::start($then, new Conditions(), "s$i");
            $had = array_values(array_diff($walk->current()->entries ?? [], ['a']));
            $has = $walk->onto($then, $now, new Conditions(), "s$i")->current()->entries ?? [];
            self::assertCount(2, $has);
            self::assertSame($had, array_values(array_intersect($has, $had)), 'what was drawn stays');
            $losing += count($had) < 2 ? 1 : 0;
        }
        self::assertGreaterThan(0, $losing, 'some had the question that is gone');
    }

    public function testASectionThatIsGoneLeadsToTheNextThatIsLeft(): void
    {
        $then = self::paper(['one' => ['a'], 'two' => ['b'], 'three' => ['c']]);
        $now = self::paper(['three' => ['c']]);
        $walk = self::moved(self::begun($then), $then, $now);
        self::assertSame(['three', ['c']], [$walk->current()?->section, $walk->current()?->entries]);

        $end = self::moved(self::begun($then), $then, self::paper(['zero' => ['z']]));
        self::assertTrue($end->ended);
    }

    public function testWhatWasLeftStaysWalkedSoThatAPaperBroughtBackIsAsItWas(): void
    {
        $then = self::paper(['one' => ['a', 'b'], 'two' => ['c', 'd']]);
        $second = self::begun($then)->leave($then, new Conditions(), 'seed', [], new MachineMarked([]));
        $now = self::paper(['two' => ['d', 'e']]);
        $moved = self::moved($second, $then, $now);
        self::assertSame(['d', 'e'], $moved->current()?->entries);
        self::assertSame([['entry' => 'd', 'try' => 1], ['entry' => 'e', 'try' => 1]], $moved->steps($now));
        self::assertSame($second->toArray(), self::moved($moved, $now, $then)->toArray());
    }

    public function testAPassOfMissedQuestionsGetsNothingNew(): void
    {
        $then = self::paper(['one' => ['a', 'b']]);
        $back = Walk::fromArray(['visits' => [
            (new Visit('one', 1, ['a', 'b']))->toArray(), (new Visit('one', 2, ['b']))->toArray(),
        ], 'ended' => false]);
        $walk = self::moved($back, $then, self::paper(['one' => ['a', 'b', 'new']]));
        self::assertSame(['b'], $walk->current()?->entries);
    }

    public function testWhoIsAtTheEndStaysThere(): void
    {
        $then = self::paper(['one' => ['a']]);
        $walk = self::begun($then)->leave($then, new Conditions(), 'seed', [], new MachineMarked([]));
        self::assertTrue($walk->ended);
        self::assertSame($walk->toArray(), self::moved($walk, $then, self::paper(['one' => ['a', 'new']]))->toArray());
    }

    private static function begun(Paper $paper): Walk
    {
        return Walk::start($paper, new Conditions(), 'seed');
    }

    private static function moved(Walk $walk, Paper $then, Paper $now): Walk
    {
        return $walk->onto($then, $now, new Conditions(), 'seed');
    }

    /** @param array<string, list<string>> $sections */
    private static function paper(array $sections, ?int $drawn = null): Paper
    {
        $written = [];
        foreach ($sections as $id => $entries) {
            $written[] = [
                'id' => $id, 'title' => $id, 'route' => null,
                'entries' => array_map(
                    static fn (string $e): array => ['id' => $e, 'kind' => 'question', 'item' => "i-$e", 'points' => '1'],
                    $entries,
                ),
            ] + ($drawn === null ? [] : ['drawing' => ['count' => $drawn, 'by' => 'chance']]);
        }

        return PaperReader::read(['version' => 1, 'title' => 't', 'mastery' => null, 'sections' => $written]);
    }
}
