<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;

/** Each question has a time of its own. */
final class TurnTest extends ApiCase
{
    private string $sitting;
    private string $handout;
    private MockClock $clock;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clock = new MockClock('2026-11-26 09:00:00');
        Clock::set($this->clock);
        $this->handout = $this->world->handOut(['inOrder' => true, 'secondsEach' => 40]);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    public function testTheTimeRunsFromWhenTheStudentComesToTheQuestion(): void
    {
        $this->clock->sleep(500);
        self::assertSame(['seconds' => 40, 'entry' => null, 'left' => null], $this->turn()->map(''));
        $this->comeTo('e-choice');
        $this->clock->sleep(10);
        self::assertSame(['seconds' => 40, 'entry' => 'e-choice', 'left' => 30], $this->turn()->map(''));
        $this->comeTo('e-text');
        self::assertSame('e-choice', $this->turn()->at('entry'), 'the one before is not left yet');
        $this->comeTo('e-choice');
        self::assertSame(30, $this->turn()->at('left'), 'to come back makes it no longer');
        $this->leave('e-choice');
        $this->comeTo('e-text');
        self::assertSame(['seconds' => 40, 'entry' => 'e-text', 'left' => 40], $this->turn()->map(''));
    }

    public function testWhatIsThereStaysWhenTheTimeIsOver(): void
    {
        $this->comeTo('e-choice');
        $this->leave('e-choice');
        $this->comeTo('e-text');
        self::assertSame('kept', $this->save('e-text', 'SECRETBROOK', 1, 'e-text'));
        $this->clock->sleep(54);
        self::assertSame('kept', $this->save('e-text', 'SECRETBROOKS', 2, 'e-text'), 'what was typed before may arrive a little later');
        $this->clock->sleep(1);
        self::assertSame('older', $this->save('e-text', 'SECRETROCK', 3, 'e-text'));
        self::assertSame([false, 'SECRETBROOKS'], [$this->step('e-text')->at('open'), $this->step('e-text')->text('value.text')]);
        $late = $this->as($this->world->teacher)->get('GET', "/sittings/$this->sitting")->list('late');
        self::assertCount(1, $late, 'what came too late is kept apart');
    }

    public function testWhoWasAwayFindsTheQuestionLeftAndTheNextOneNotBegun(): void
    {
        $this->comeTo('e-choice');
        $this->clock->sleep(4000);
        self::assertNull($this->turn()->at('entry'));
        self::assertSame([false, true], [$this->step('e-choice')->at('open'), $this->step('e-text')->at('open')]);
    }

    public function testItStandsStillWhileTheyAreHeld(): void
    {
        $this->comeTo('e-choice');
        $this->clock->sleep(10);
        $this->as($this->world->teacher)->ask('POST', "/handouts/$this->handout/hold", ['words' => 'Eyes up.']);
        $this->clock->sleep(300);
        self::assertNull($this->ofAda()->turn()->at('left'));
        $this->as($this->world->teacher)->ask('POST', "/handouts/$this->handout/release");
        self::assertSame(30, $this->ofAda()->turn()->at('left'));
        self::assertTrue($this->step('e-choice')->at('open'));
    }

    public function testExtraTimeOfSupportMakesItLonger(): void
    {
        $this->as($this->world->teacher)->get('PUT', "/classes/{$this->world->classId}/students/{$this->ada()}/support", ['extraTime' => 25]);
        $this->ofAda()->comeTo('e-choice');
        self::assertSame([50, 50], [$this->turn()->at('seconds'), $this->turn()->at('left')]);
    }

    public function testItGoesWithOneAfterTheOtherAlone(): void
    {
        $given = ['editionId' => $this->world->editionId, 'classes' => [$this->world->classId], 'requestId' => '01900000-0000-7000-8000-000000000009'];
        $refused = $this->as($this->world->teacher)->refused(422, 'POST', '/handouts', $given + ['conditions' => ['secondsEach' => 40]]);
        self::assertStringContainsString('one after the other', $refused->text('detail'));
    }

    private function ada(): string
    {
        return $this->world->students['Ada Okafor']->id;
    }

    private function ofAda(): self
    {
        $this->as($this->world->students['Ada Okafor']);

        return $this;
    }

    private function comeTo(string $entry): void
    {
        $this->get('PUT', "/me/sittings/$this->sitting/responses", ['saves' => [], 'at' => $entry]);
    }

    private function leave(string $entry): void
    {
        $this->get('POST', "/me/sittings/$this->sitting/settle", ['entry' => $entry, 'try' => 1]);
    }

    private function save(string $entry, string $text, int $counter, string $at): string
    {
        return $this->get('PUT', "/me/sittings/$this->sitting/responses", ['at' => $at, 'saves' => [
            ['entry' => $entry, 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => "c$counter"],
        ]])->text('kept.0.fate');
    }

    private function turn(): Json
    {
        return Json::of(json_encode($this->get('GET', "/me/sittings/$this->sitting")->at('turn'), JSON_THROW_ON_ERROR));
    }

    private function step(string $entry): Json
    {
        foreach ($this->get('GET', "/me/sittings/$this->sitting")->list('steps') as $step) {
            if ($step->text('entry') === $entry) {
                return $step;
            }
        }
        self::fail("no step $entry");
    }
}
