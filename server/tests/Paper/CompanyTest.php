<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** Two at one paper see each other. */
final class CompanyTest extends ApiCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = "/papers/{$this->world->paperId}/here";
    }

    protected function tearDown(): void
    {
        Clock::set(new \Symfony\Component\Clock\NativeClock());
        parent::tearDown();
    }

    public function testEachSeesWhereTheOtherIsUntilTheyAreGone(): void
    {
        Clock::set($clock = new MockClock('2026-11-27 10:00:00'));
        $lead = $this->as($this->world->lead)->get('PUT', $this->path, ['part' => 'e-text']);
        self::assertSame([1, []], [$lead->int('version'), $lead->at('others')]);
        $teacher = $this->as($this->world->teacher)->get('PUT', $this->path, ['part' => 'e-choice']);
        self::assertSame([['name' => 'Lead', 'part' => 'e-text']], $teacher->at('others'));
        $lead = $this->as($this->world->lead)->get('PUT', $this->path, ['part' => 's1']);
        self::assertSame([['name' => 'Teacher', 'part' => 'e-choice']], $lead->at('others'));

        $clock->sleep(16);
        self::assertSame([], $this->get('PUT', $this->path, ['part' => 's1'])->at('others'), 'who says nothing is gone');
    }

    public function testItSaysThatSomebodyHasSaved(): void
    {
        $this->as($this->world->lead)->get('PUT', "/papers/{$this->world->paperId}", [
            'paper' => ['title' => 'Heights'] + $this->world->paperDocument(), 'version' => 1,
        ]);
        self::assertSame(2, $this->as($this->world->teacher)->get('PUT', $this->path, [])->int('version'));
    }

    public function testNobodyLooksIntoAnotherTeamsPaper(): void
    {
        $this->as($this->world->lead)->get('PUT', $this->path, []);
        $this->as($this->world->stranger)->refused(404, 'PUT', $this->path, []);
        self::assertSame([], $this->as($this->world->lead)->get('PUT', $this->path, [])->at('others'));
    }
}
