<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

/** Teams climb by what they have right, and the wall shows it without names. */
final class ClimbTest extends ApiCase
{
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
    }

    public function testEachRightAnswerCarriesATeamUpAndSizeAndAbsenceDoNotCount(): void
    {
        $this->climb(['Keel' => ['Ada Okafor', 'Cleo Marsh'], 'Oar' => ['Benoît Larsen']]);
        self::assertSame([3, 0.0, 0.0], [$this->wall()->int('climb.length'), ...$this->rungs()], 'what is marked by hand is no rung');
        $this->save('Ada Okafor', 'e-text', ['text' => 'SECRETROCK']);
        self::assertSame([1.0, 0.0], $this->rungs(), 'Cleo is not here and holds nobody down');
        $this->save('Cleo Marsh', 'e-text', ['text' => 'SECRETBROOK']);
        $this->save('Benoît Larsen', 'e-text', ['text' => 'secretrock']);
        self::assertSame([0.75, 1.0], $this->rungs());
    }

    public function testNothingOfWhoIsInATeamReachesTheWall(): void
    {
        $this->climb(['Keel' => ['Ada Okafor'], 'Oar' => ['Benoît Larsen', 'Cleo Marsh']]);
        $body = (string) $this->as($this->world->teacher)->ask('GET', "/handouts/$this->handout/wall")->getContent();
        self::assertStringContainsString('Keel', $body);
        foreach ($this->world->students as $name => $student) {
            self::assertStringNotContainsString(explode(' ', $name)[0], $body);
            self::assertStringNotContainsString($student->id, $body);
        }
    }

    public function testAStudentIsToldTheirTeamWhileItClimbs(): void
    {
        $this->climb(['Keel' => ['Ada Okafor'], 'Oar' => ['Benoît Larsen']]);
        $names = fn (): array => array_map(fn (string $who): mixed => $this->as($this->world->students[$who])
            ->get('POST', "/me/handouts/$this->handout/open")->at('climbs'), ['Ada Okafor', 'Cleo Marsh']);
        self::assertSame(['Keel', null], $names());
        self::assertSame('stopped', $this->teacher('DELETE')->text('state'));
        self::assertNull($this->wall()->at('climb'));
        self::assertSame([null, null], $names());
        self::assertSame('on', $this->climb(['Keel' => ['Ada Okafor'], 'Oar' => []])->text('state'));
    }

    public function testTeamsAreDrawnAsStrongAsOneAnother(): void
    {
        $before = $this->world->handOut();
        $this->world->sit('Ada Okafor', $before, ['e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']]);
        $this->world->sit('Benoît Larsen', $before, ['e-text' => ['text' => 'x']]);
        $drawn = $this->teacher('POST', ['teams' => 2], '/draw');
        self::assertSame('drawn', $drawn->text('state'));
        self::assertSame('none', $this->teacher('GET')->text('state'), 'nothing is kept');
        $sizes = array_map(static fn (Json $team): int => count($team->list('students')), $drawn->list('teams'));
        sort($sizes);
        self::assertSame([1, 2], $sizes);
        $all = array_merge(...array_map(static fn (Json $team): array => (array) $team->at('students'), $drawn->list('teams')));
        self::assertEqualsCanonicalizing(array_column($this->world->students, 'id'), $all);
        self::assertSame($drawn->at('teams'), $this->teacher('POST', ['teams' => 2], '/draw')->at('teams'));
        $this->refused(409, 'POST', "/handouts/$this->handout/climb/draw", ['teams' => 4]);
    }

    public function testTeamsThatCannotBeAreRefused(): void
    {
        $ada = $this->world->students['Ada Okafor']->id;
        foreach ([
            [['name' => 'Keel', 'students' => [$ada]]],
            [['name' => 'Keel', 'students' => [$ada]], ['name' => 'Oar', 'students' => [$ada]]],
            [['name' => 'Keel', 'students' => [$ada]], ['name' => 'Keel', 'students' => []]],
            [['name' => 'Keel', 'students' => [$this->world->lead->id]], ['name' => 'Oar', 'students' => []]],
            [['name' => ' ', 'students' => [$ada]], ['name' => 'Oar', 'students' => []]],
        ] as $teams) {
            $this->as($this->world->teacher)->refused(422, 'PUT', "/handouts/$this->handout/climb", ['teams' => $teams]);
        }
    }

    public function testItSaysWhenAClimbTellsMoreThanThePlan(): void
    {
        self::assertTrue($this->teacher('GET')->at('tells'));
        $this->handout = $this->world->handOut(['feedback' => Plan::AT_ONCE]);
        self::assertFalse($this->teacher('GET')->at('tells'));
    }

    /** @param array<string, list<string>> $teams names of students, by name of the team */
    private function climb(array $teams): Json
    {
        $sent = [];
        foreach ($teams as $name => $students) {
            $sent[] = ['name' => $name, 'students' => array_map(fn (string $who): string => $this->world->students[$who]->id, $students)];
        }

        return $this->teacher('PUT', ['teams' => $sent]);
    }

    /** @param array<string, mixed> $value */
    private function save(string $who, string $entry, array $value): void
    {
        $id = $this->as($this->world->students[$who])->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $this->get('PUT', "/me/sittings/$id/responses", ['saves' => [
            ['entry' => $entry, 'try' => 1, 'value' => $value, 'counter' => 1, 'clientId' => $entry],
        ]]);
    }

    private function wall(): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/wall");
    }

    /** @return list<mixed> */
    private function rungs(): array
    {
        return array_map(static fn (mixed $rungs): mixed => is_int($rungs) ? (float) $rungs : $rungs, $this->wall()->column('climb.teams', 'rungs'));
    }

    /** @param array<string, mixed>|null $body */
    private function teacher(string $method, ?array $body = null, string $path = ''): Json
    {
        return $this->as($this->world->teacher)->get($method, "/handouts/$this->handout/climb$path", $body);
    }
}
