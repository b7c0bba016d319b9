<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** Work for which every student has so long from when they begin. */
final class TimedTest extends ApiCase
{
    private MockClock $clock;
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clock = new MockClock('2026-11-27 09:00:00');
        Clock::set($this->clock);
        $this->handout = $this->world->handOut(['minutes' => 10]);
    }

    public function testTheTimeBeginsWithTheStudentAndEndsWithAllThatIsThere(): void
    {
        self::assertSame(10, $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->int('handouts.0.minutes'));
        $ada = $this->open('Ada Okafor');
        $this->clock->sleep(300);
        $cleo = $this->open('Cleo Marsh');
        self::assertSame([300, 600], [$this->left('Ada Okafor', $ada), $this->left('Cleo Marsh', $cleo)]);

        $this->clock->sleep(300 + Window::GRACE - 1);
        self::assertSame('kept', $this->save('Ada Okafor', $ada, 'typed in time', 1));
        $this->clock->sleep(1);
        self::assertSame('closed', $this->save('Ada Okafor', $ada, 'too late', 2));
        self::assertSame('time', $this->tables->row('SELECT handed_in_by FROM sitting WHERE id = :id', ['id' => $ada])?->text('handed_in_by'));
        self::assertSame('handed in', $this->sitting('Ada Okafor', $ada)->text('state'));
        self::assertSame('open', $this->sitting('Cleo Marsh', $cleo)->text('state'));
    }

    public function testTheClockTakesItInWithoutAnybodyLooking(): void
    {
        $id = $this->open('Ada Okafor');
        $this->clock->sleep(600 + Window::GRACE);
        self::service(EntityManagerInterface::class)->clear();
        self::service(Deadlines::class)->keep();
        self::assertSame('marked', $this->tables->row('SELECT state FROM sitting WHERE id = :id', ['id' => $id])?->text('state'));
    }

    public function testSupportAndAGiftOfMinutesMakeItLonger(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $this->as($this->world->teacher)->get(
            'PUT',
            "/classes/{$this->world->classId}/students/$ada->id/support",
            ['extraTime' => 50],
        );
        $this->get('PUT', "/handouts/$this->handout/students/$ada->id/extra-time", ['minutes' => 2]);
        self::assertSame(17, $this->as($ada)->get('GET', '/me/work')->int('handouts.0.minutes'));
        $id = $this->open('Ada Okafor');
        self::assertSame(17 * 60, $this->left('Ada Okafor', $id));
        $this->as($this->world->teacher)->get('PUT', "/handouts/$this->handout/students/$ada->id/extra-time", ['minutes' => 5]);
        self::assertSame(20 * 60, $this->left('Ada Okafor', $id));
        $this->as($this->world->teacher)->get('PUT', "/handouts/$this->handout/students/$ada->id/extra-time", ['minutes' => 0]);
        self::assertSame(15 * 60, $this->left('Ada Okafor', $id));
    }

    public function testWhileTheyAreHeldTheTimeStandsStill(): void
    {
        $id = $this->open('Ada Okafor');
        $this->clock->sleep(60);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/hold", ['words' => 'Eyes up.']);
        $this->clock->sleep(3600);
        self::service(EntityManagerInterface::class)->clear();
        self::service(Deadlines::class)->keep();
        self::assertNull($this->sitting('Ada Okafor', $id)->at('secondsLeft'));
        self::assertSame('open', $this->sitting('Ada Okafor', $id)->text('state'));
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/release");
        self::assertSame(540, $this->left('Ada Okafor', $id));
    }

    public function testWorkThatIsGivenBackHasAsLongAsTheHandoutIsOpen(): void
    {
        $id = $this->open('Ada Okafor');
        $this->clock->sleep(600 + Window::GRACE);
        $late = $this->sitting('Ada Okafor', $id);
        $this->as($this->world->teacher)->get('POST', "/sittings/$id/reopen");
        $this->clock->sleep(3600);
        $again = $this->sitting('Ada Okafor', $id);
        self::assertSame(['handed in', 'open', null], [$late->text('state'), $again->text('state'), $again->at('secondsLeft')]);
    }

    private function open(string $name): string
    {
        return $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    private function sitting(string $name, string $id): Json
    {
        return $this->as($this->world->students[$name])->get('GET', "/me/sittings/$id");
    }

    private function left(string $name, string $id): int
    {
        return $this->sitting($name, $id)->int('secondsLeft');
    }

    private function save(string $name, string $id, string $text, int $counter): string
    {
        return $this->as($this->world->students[$name])->get('PUT', "/me/sittings/$id/responses", ['saves' => [[
            'entry' => 'e-text', 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => "x$counter",
        ]]])->text('kept.0.fate');
    }
}
