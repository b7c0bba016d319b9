<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Results;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

final class OwnSkillsTest extends ApiCase
{
    private const RIGHT = ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']];

    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher);
        $skill = $this->get('POST', '/bank/skills', ['name' => 'Heights'])->text('id');
        $items = array_intersect_key($this->world->items, ['choice' => 1, 'text' => 1, 'number' => 1]);
        $this->ask('POST', '/items/many/skills', ['skills' => array_fill_keys(array_values($items), $skill)]);
    }

    public function testNothingCountsBeforeItIsTold(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::ON_RETURN]);
        $this->world->sit('Ada Okafor', $handout, self::RIGHT);
        $this->world->sit('Ada Okafor', $this->world->handOut(['feedback' => Plan::NOTHING]), self::RIGHT);
        $open = $this->world->handOut(['feedback' => Plan::AT_ONCE]);
        $sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$open/open")->text('id');
        $saves = [['entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'x'], 'counter' => 1, 'clientId' => 'a']];
        $this->get('PUT', "/me/sittings/$sitting/responses", ['saves' => $saves]);
        self::assertSame([], $this->own());

        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/return", ['students' => [$this->world->students['Ada Okafor']->id]]);
        self::assertSame([['Heights', 3.0, 3, 3, 'clear']], $this->own());
        self::assertSame([], $this->own('Benoît Larsen'), 'nobody else’s');
    }

    public function testItIsWhatOneCanDoByNow(): void
    {
        $told = fn (): string => $this->world->handOut(['feedback' => Plan::AFTER_HAND_IN]);
        for ($time = 0; $time < 3; ++$time) {
            $this->world->sit('Ada Okafor', $told(), ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'no'], 'e-number' => ['text' => '1']]);
        }
        self::assertSame([['Heights', 0.0, 9, 1, 'footing']], $this->own());
        for ($time = 0; $time < 3; ++$time) {
            $this->world->sit('Ada Okafor', $told(), self::RIGHT);
        }
        self::assertSame([['Heights', 9.0, 10, 3, 'clear']], $this->own());
        $this->as($this->world->lead)->get('PUT', '/account/team', ['rungs' => [['name' => 'shore', 'from' => 0], ['name' => 'sea', 'from' => 95]]]);
        self::assertSame([['Heights', 9.0, 10, 1, 'shore']], $this->own());
    }

    public function testOneOrTwoAnswersReachNoRung(): void
    {
        $this->world->sit('Ada Okafor', $this->world->handOut(['feedback' => Plan::AFTER_HAND_IN]), ['e-text' => ['text' => 'SECRETROCK']]);
        self::assertSame([['Heights', 1.0, 1, 0, '']], $this->own());
    }

    /** @return list<list<mixed>> name, credit, answers, rung and its name */
    private function own(string $name = 'Ada Okafor'): array
    {
        $skills = $this->as($this->world->students[$name])->get('GET', '/me/skills')->list('skills');

        return array_map(
            static fn (Json $s): array => [$s->text('name'), $s->at('credit'), $s->int('n'), $s->int('rung'), $s->text('rungName')],
            $skills,
        );
    }
}
