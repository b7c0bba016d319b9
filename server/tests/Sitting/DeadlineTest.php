<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Tests\ApiCase;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpKernel\KernelInterface;

/** A closing time binds: nothing begins after it, what is there is handed in, and what was typed before it still counts. */
final class DeadlineTest extends ApiCase
{
    private MockClock $clock;
    private string $handout;
    private string $sitting;
    private StudentUser $ada;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clock = new MockClock('2026-11-26 09:00:00');
        Clock::set($this->clock);
        $this->ada = $this->world->students['Ada Okafor'];
        $this->handout = $this->world->handOut();
        $this->as($this->world->teacher)->get(
            'PUT',
            "/handouts/$this->handout",
            ['visible' => true, 'closesAt' => '2026-11-26T10:00:00.000Z'],
        );
        $this->sitting = $this->as($this->ada)->get('POST', "/me/handouts/$this->handout/open")->text('id');
        self::assertSame('kept', $this->save('before', 1));
    }

    public function testWhatWasTypedBeforeMayArriveAMinuteLate(): void
    {
        $this->clock->sleep(3600 + Window::GRACE - 1);
        self::assertSame('kept', $this->save('in time', 2));
        self::assertSame('open', $this->get('GET', "/me/sittings/$this->sitting")->text('state'));
        $this->clock->sleep(1);
        self::assertSame('closed', $this->save('too late', 3));
        $work = $this->as($this->world->teacher)->get('GET', "/sittings/$this->sitting");
        self::assertSame(['in time', 'too late'], [$work->text('answers.1.given'), $work->text('late.0.given')]);
    }

    public function testNothingBeginsAfterIt(): void
    {
        $this->clock->sleep(3600);
        self::assertSame(
            'This work is closed.',
            $this->as($this->world->students['Cleo Marsh'])->refused(409, 'POST', "/me/handouts/$this->handout/open")->text('title'),
        );
        self::assertSame('missed', $this->get('GET', '/me/work')->text('handouts.0.status'));
    }

    public function testItIsHandedInByTheClockAndCounts(): void
    {
        self::assertSame(0, self::service(Deadlines::class)->keep());
        $this->clock->sleep(3600 + Window::GRACE);
        self::assertSame(1, self::service(Deadlines::class)->keep());
        self::assertSame(0, self::service(Deadlines::class)->keep());
        self::assertSame(
            ['marked', 'close'],
            [$this->state(), $this->tables->row('SELECT handed_in_by FROM sitting')?->text('handed_in_by')],
        );
        self::assertSame(1, $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/results")->int('mean.n'));
    }

    public function testOneStudentMayHaveMoreTimeThanTheOthers(): void
    {
        $cleo = $this->world->students['Cleo Marsh'];
        $hers = $this->as($cleo)->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $ada = "/handouts/$this->handout/students/{$this->ada->id}/extra-time";
        self::assertArrayHasKey('minutes', $this->as($this->world->teacher)->refused(422, 'PUT', $ada, ['minutes' => 1441])->map('fields'));
        $this->get('PUT', $ada, ['minutes' => 30]);
        $this->clock->sleep(3600 + Window::GRACE);
        self::service(EntityManagerInterface::class)->clear();
        self::assertSame(0, self::service(Deadlines::class)->keep());
        // Cleo's is handed in at the time that holds for all; Ada goes on and reads her own.
        self::assertSame('handed in', $this->as($cleo)->get('GET', "/me/sittings/$hers")->text('state'));
        self::assertSame('kept', $this->save('in her own time', 2));
        self::assertSame('2026-11-26T10:30:00.000Z', $this->as($this->ada)->get('GET', '/me/work')->text('handouts.0.closesAt'));
        $this->clock->sleep(1800);
        self::assertSame('closed', $this->save('too late for her too', 3));
        self::assertSame(['marked', null], [$this->state(), $this->tables->row('SELECT 1 AS x FROM handout WHERE closed_at IS NULL')]);
    }

    public function testTheClockIsOnTheSchedule(): void
    {
        $command = (new Application(self::service(KernelInterface::class)))->find('debug:scheduler');
        $tester = new CommandTester($command);
        $tester->execute([]);
        self::assertStringContainsString('Deadlines::keep', $tester->getDisplay());
        self::assertStringContainsString('Sessions::forgetOld', $tester->getDisplay());
    }

    public function testItIsHandedInWhenSomebodyLooksBeforeTheClockHasComeRound(): void
    {
        $this->clock->sleep(3600 + Window::GRACE);
        self::assertSame('handed in', $this->get('GET', "/me/sittings/$this->sitting")->text('state'));
        self::assertSame('closed', $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout")->text('status'));
    }

    public function testWhoComesIntoTheClassAfterItIsHandedNothing(): void
    {
        $this->clock->sleep(3601);
        $this->as($this->world->teacher)->get('POST', '/classes/'.$this->world->classId.'/roster', ['text' => 'Dee Fox']);
        self::assertSame(3, $this->get('GET', "/handouts/$this->handout")->int('expected'));
    }

    public function testHandingInAfterItChangesNothing(): void
    {
        $this->clock->sleep(3600 + Window::GRACE);
        self::assertSame('handed in', $this->get('POST', "/me/sittings/$this->sitting/go-on", ['visit' => 1])->text('state'));
        self::assertSame('close', $this->tables->row('SELECT handed_in_by FROM sitting')?->text('handed_in_by'));
    }

    public function testReopeningGivesBackWhatClosingTook(): void
    {
        $this->world->sit('Benoît Larsen', $this->handout, []);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/close");
        $this->refused(409, 'POST', "/sittings/$this->sitting/reopen");
        self::assertSame('open', $this->get('POST', "/handouts/$this->handout/reopen")->text('status'));
        self::assertSame(['open', 1], [$this->state(), $this->get('GET', "/handouts/$this->handout")->int('handedIn')]);
        self::assertSame('kept', $this->save('after', 4));
        self::assertSame('after', $this->get('GET', "/me/sittings/$this->sitting")->text('steps.1.value.text'));
        $this->as($this->world->teacher)->refused(409, 'POST', "/handouts/$this->handout/reopen");
    }

    public function testOneStudentsWorkIsOpenedAgain(): void
    {
        $id = $this->world->sit('Benoît Larsen', $this->handout, ['e-text' => ['text' => 'reef']]);
        self::assertSame('open', $this->as($this->world->teacher)->get('POST', "/sittings/$id/reopen")->text('state'));
        $this->refused(409, 'POST', "/sittings/$id/reopen");
    }

    private function save(string $text, int $counter): mixed
    {
        return $this->as($this->ada)->get(
            'PUT',
            "/me/sittings/$this->sitting/responses",
            ['saves' => [[
                'entry' => 'e-text',
                'try' => 1,
                'value' => ['text' => $text],
                'counter' => $counter,
                'clientId' => "c$counter",
            ]]],
        )->at('kept.0.fate');
    }

    private function state(): string
    {
        return $this->tables->row('SELECT state FROM sitting WHERE id = :id', ['id' => $this->sitting])?->text('state') ?? '';
    }
}
