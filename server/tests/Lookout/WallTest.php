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

    public function testRaisedHandsStandOnTheWallInsteadOfDevices(): void
    {
        $this->pick('Ada Okafor', 'a');
        $this->teacher('PUT', ['entry' => 'e-choice']);
        $hands = "/handouts/$this->handout/hands/e-choice";
        $wall = $this->get('PUT', $hands, ['first' => ['A' => 9, 'B' => 15]]);
        self::assertSame(
            [[9, 15], [null, null], 24, true],
            [$wall->column('options', 'now'), $wall->column('options', 'first'), $wall->at('answered'), $wall->at('byHands')],
        );
        $wall = $this->get('PUT', $hands, ['first' => ['A' => 9, 'B' => 15], 'now' => ['A' => 20]]);
        self::assertSame(
            [[20, 0], [9, 15], 24, 20],
            [$wall->column('options', 'now'), $wall->column('options', 'first'), $wall->at('answeredFirst'), $wall->at('answered')],
        );
        self::assertSame(
            ['first' => ['A' => 9, 'B' => 15], 'now' => ['A' => 20, 'B' => 0]],
            $this->get('GET', "/handouts/$this->handout/lookout/e-choice")->at('hands'),
        );
        $lowered = $this->get('DELETE', $hands);
        self::assertSame([[1, 0], false], [$lowered->column('options', 'now'), $lowered->at('byHands')]);
        self::assertSame('The question has no option Z.', $this->refused(422, 'PUT', $hands, ['first' => ['Z' => 1]])->text('fields.first'));
        foreach ([['A' => -1], ['A' => 501], ['A' => 'many'], []] as $first) {
            $this->refused(422, 'PUT', $hands, ['first' => $first]);
        }
        $this->refused(422, 'PUT', "/handouts/$this->handout/hands/e-text", ['first' => ['A' => 1]]);
    }

    public function testWhatTheRoomSaidIsKeptWithTheQuestion(): void
    {
        $this->pick('Ada Okafor', 'b');
        $this->pick('Benoît Larsen', 'a');
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/counts/e-choice");
        $this->pick('Ada Okafor', 'a', 2);
        $this->pick('Cleo Marsh', 'a');
        $record = '/items/'.$this->world->items['choice'].'/uses';
        self::assertSame([false, 1, 2, 2, 2], $this->said($record, 0), 'over those in both counts');

        $other = $this->world->handOut();
        $this->as($this->world->teacher)->get('PUT', "/handouts/$other/hands/e-choice", ['first' => ['A' => 9, 'B' => 15]]);
        self::assertSame([true, 9, 24, null, null], $this->said($record, 0), 'the newest first');
        self::assertSame([false, 1, 2, 2, 2], $this->said($record, 1));
        self::assertSame([], $this->get('GET', '/items/'.$this->world->items['text'].'/uses')->list('rooms'));
    }

    public function testAnyQuestionOfTheBankIsAskedOnce(): void
    {
        $ask = ['itemId' => $this->world->items['number'], 'classId' => $this->world->classId, 'requestId' => '0190a0a0-0000-7000-8000-0000000000b7'];
        $room = $this->as($this->world->teacher)->get('POST', '/room-questions', $ask);
        self::assertSame($room->text('handoutId'), $this->get('POST', '/room-questions', $ask)->text('handoutId'), 'a double click');
        $wall = $this->get('GET', '/handouts/'.$room->text('handoutId').'/wall');
        self::assertSame(['e1', 3], [$wall->at('entry'), $wall->at('expected')]);
        self::assertStringStartsWith('In the room: ', $wall->text('title'));
        self::assertCount(1, $this->get('GET', '/papers')->list('papers'), 'its paper stands in nobody’s way');
        $works = $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->column('handouts', 'title');
        self::assertContains($wall->text('title'), $works);
        $this->as($this->world->teacher)->get('POST', '/handouts/'.$room->text('handoutId').'/close');
        $works = $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->column('handouts', 'title');
        self::assertNotContains($wall->text('title'), $works, 'who was not there has missed no work');
        $this->as($this->world->teacher)->refused(404, 'POST', '/room-questions', ['itemId' => $this->world->classId, 'requestId' => '0190a0a0-0000-7000-8000-0000000000b8'] + $ask);
    }

    /** @return list<mixed> by hands, right and all before, right and all after */
    private function said(string $record, int $i): array
    {
        $seen = $this->as($this->world->teacher)->get('GET', $record);

        return array_map(
            static fn (string $key): mixed => $seen->at("rooms.$i.$key"),
            ['byHands', 'firstRight', 'first', 'nowRight', 'now'],
        );
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
