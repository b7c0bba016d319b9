<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** A display without names, and two counts of one question. */
final class WallTest extends ApiCase
{
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
    }

    public function testItShowsWhatTheTeacherChoseAndNoName(): void
    {
        self::assertNull($this->wall()->at('entry'));
        $this->pick('Ada Okafor', 'a');
        $this->pick('Benoît Larsen', 'b');
        $wall = $this->teacher('PUT', ['entry' => 'e-choice']);
        self::assertSame(
            ['e-choice', 2, 3, 2, [1, 1], [null, null]],
            [$wall->at('entry'), $wall->at('answered'), $wall->at('expected'), $wall->at('joined'), $wall->column('options', 'now'), $wall->column('options', 'key')],
        );
        $body = (string) $this->ask('GET', "/handouts/$this->handout/wall")->getContent();
        foreach ($this->world->students as $name => $student) {
            self::assertStringNotContainsString(explode(' ', $name)[0], $body);
            self::assertStringNotContainsString($student->id, $body);
        }
    }

    public function testTheKeyIsShownByASecondActAlone(): void
    {
        self::assertSame([null, null], $this->teacher('PUT', ['entry' => 'e-choice', 'key' => true])->column('options', 'key'));
        self::assertSame([true, false], $this->teacher('PUT', ['entry' => 'e-choice', 'key' => true])->column('options', 'key'));
        $this->teacher('PUT', ['entry' => 'e-text', 'key' => true]);
        self::assertSame([null, null], $this->teacher('PUT', ['entry' => 'e-choice'])->column('options', 'key'));
    }

    public function testTwoCountsSayWhatMoved(): void
    {
        $this->pick('Ada Okafor', 'b');
        $this->pick('Benoît Larsen', 'a');
        $this->teacher('PUT', ['entry' => 'e-choice']);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/counts/e-choice");
        $this->pick('Ada Okafor', 'a', 2);
        $wall = $this->wall();
        self::assertSame([[1, 1], [2, 0], 2], [$wall->column('options', 'first'), $wall->column('options', 'now'), $wall->at('answeredFirst')]);
        $shift = $this->get('GET', "/handouts/$this->handout/lookout/e-choice")->map('shift');
        self::assertSame(['toKey' => 1, 'fromKey' => 0, 'keptKey' => 1, 'keptOther' => 0], $shift);
        self::assertSame([null, null], $this->get('DELETE', "/handouts/$this->handout/counts/e-choice")->column('options', 'first'));
        $this->refused(409, 'POST', "/handouts/$this->handout/counts/e-text");
        $this->refused(404, 'POST', "/handouts/$this->handout/counts/e-none");
    }

    private function pick(string $name, string $option, int $counter = 1): void
    {
        $sitting = $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $this->get('PUT', "/me/sittings/$sitting/responses", ['saves' => [[
            'entry' => 'e-choice', 'try' => 1, 'value' => ['options' => [$this->shown($sitting, $option)]], 'counter' => $counter, 'clientId' => "x$counter",
        ]]]);
    }

    private function wall(): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/wall");
    }

    /** @param array<string, mixed> $body */
    private function teacher(string $method, array $body): Json
    {
        return $this->as($this->world->teacher)->get($method, "/handouts/$this->handout/wall", $body);
    }
}
