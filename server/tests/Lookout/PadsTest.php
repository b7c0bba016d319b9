<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Presses of answer pads become answers of whoever has the pad. */
final class PadsTest extends ApiCase
{
    private string $handout;
    private string $key;

    protected function setUp(): void
    {
        parent::setUp();
        $paper = $this->as($this->world->teacher)->get('POST', '/papers/on-paper', ['title' => 'Pads', 'requestId' => Id::fresh(), 'lines' => [
            ['count' => 2, 'kind' => 'choice', 'options' => 4], ['count' => 1, 'kind' => 'number'],
        ]]);
        $this->handout = $this->world->handOut([], $paper->text('editionId'));
        $opened = $this->teacher('POST');
        $this->key = $opened->text('key');
        self::assertSame(['01', '02', '03'], $opened->column('pads', 'pad'), 'given out in the order of the list');
    }

    public function testAPressIsTheAnswerOfWhoeverHasThePad(): void
    {
        self::assertSame(['kept', 'kept', 'kept'], $this->press(['01', 1, 1, 'b'], ['02', 1, 3, '3.8'], ['01', 2, 2, 'D']));
        self::assertSame(
            ['Ada Okafor' => ['q1' => 'B B', 'q2' => 'D D'], 'Benoît Larsen' => ['q3' => '3.8']],
            array_intersect_key($this->given(), ['Ada Okafor' => 1, 'Benoît Larsen' => 1]),
        );
        self::assertSame(['kept'], $this->press(['01', 3, 1, 'A']));
        self::assertSame('A A', $this->given()['Ada Okafor']['q1'], 'a later press changes the answer');
    }

    public function testADeviceWhoseClockIsAheadDoesNotSilenceThePad(): void
    {
        $sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $tomorrow = (time() + 86_400) * 1000;
        $value = ['options' => [$this->shown($sitting, 'c', 'q1')]];
        $this->get('PUT', "/me/sittings/$sitting/responses", ['saves' => [
            ['entry' => 'q1', 'try' => 1, 'value' => $value, 'counter' => $tomorrow, 'clientId' => 'ahead'],
        ]]);
        self::assertSame('C C', $this->given()['Ada Okafor']['q1']);
        self::assertSame(['kept'], $this->press(['01', 1, 1, 'A']));
        self::assertSame('A A', $this->given()['Ada Okafor']['q1']);
    }

    public function testWhatIsHeardTwiceCountsOnceAndWhatComesLateNever(): void
    {
        self::assertSame(['kept', 'double', 'double'], $this->press(['01', 5, 1, 'A'], ['01', 5, 1, 'A'], ['01', 4, 1, 'C']));
        self::assertSame(['double'], $this->press(['01', 5, 1, 'C']));
        self::assertSame(['kept'], $this->press(['01', 2, 2, 'B']), 'of another question nothing newer was heard');
        self::assertSame(['q1' => 'A A', 'q2' => 'B B'], $this->given()['Ada Okafor']);
    }

    public function testAPadThatWasNeverGivenOutIsNotedAndMayBeGivenThen(): void
    {
        self::assertSame(['not given out', 'not given out'], $this->press(['77', 1, 1, 'A'], ['77', 2, 1, 'B']));
        $pad = array_values(array_filter($this->teacher('GET')->list('pads'), static fn (Json $p): bool => $p->text('pad') === '77'))[0];
        self::assertSame([null, 2], [$pad->at('student'), $pad->int('strays')]);
        $this->teacher('PUT', '/77', ['student' => $this->world->students['Ada Okafor']->id]);
        $pads = array_column(array_map(static fn (Json $p): array => [$p->text('pad'), $p->at('student')], $this->teacher('GET')->list('pads')), 1, 0);
        self::assertNull($pads['01'], 'a student has one pad');
        self::assertSame(['kept', 'not given out'], $this->press(['77', 3, 1, 'B'], ['01', 9, 1, 'C']));
        self::assertSame('B B', $this->given()['Ada Okafor']['q1']);
    }

    public function testWhatIsNoAnswerIsSaidAndKeepsTheOthers(): void
    {
        self::assertSame(
            ['no such answer', 'no such answer', 'kept'],
            $this->press(['01', 1, 1, 'E'], ['01', 2, 99, 'A'], ['01', 3, 2, 'A']),
        );
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/hold", ['words' => '']);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/close");
        self::assertSame(['closed'], $this->press(['02', 1, 1, 'A']));
    }

    public function testALowBatteryIsSaid(): void
    {
        $this->as(null)->get('POST', "/presses/$this->handout", ['key' => $this->key, 'presses' => [
            ['pad' => '01', 'press' => 1, 'question' => 1, 'keys' => 'A', 'battery' => 0.15],
            ['pad' => '02', 'press' => 1, 'question' => 1, 'keys' => 'A', 'battery' => 0.9],
        ]]);
        self::assertSame([true, false, false], $this->teacher('GET')->column('pads', 'low'));
    }

    public function testAReceiverIsKnownByItsKeyAloneAndSaysNothingOnceItIsClosed(): void
    {
        $before = $this->key;
        $this->key = 'something else';
        $this->refusedPress();
        $this->key = $this->teacher('POST')->text('key');
        self::assertSame(['kept'], $this->press(['01', 1, 1, 'A']));
        [$now, $this->key] = [$this->key, $before];
        $this->refusedPress();
        self::assertNull($this->teacher('GET')->at('key'), 'told once');
        $this->teacher('DELETE');
        $this->key = $now;
        $this->refusedPress();
    }

    private function refusedPress(): void
    {
        $this->as(null)->refused(401, 'POST', "/presses/$this->handout", ['key' => $this->key, 'presses' => [
            ['pad' => '01', 'press' => 9, 'question' => 1, 'keys' => 'C'],
        ]]);
    }

    /**
     * @param array{string, int, int, string} ...$presses pad, number of the press, question, keys
     *
     * @return list<mixed> what became of each
     */
    private function press(array ...$presses): array
    {
        return $this->as(null)->get('POST', "/presses/$this->handout", ['key' => $this->key, 'presses' => array_map(
            static fn (array $p): array => ['pad' => $p[0], 'press' => $p[1], 'question' => $p[2], 'keys' => $p[3]],
            $presses,
        )])->column('presses', 'fate');
    }

    /** @return array<string, array<string, string>> what is entered, by name and entry */
    private function given(): array
    {
        $given = [];
        foreach ($this->as($this->world->teacher)->get('GET', "/handouts/$this->handout/lookout")->list('rows') as $row) {
            foreach ($row->at('sittingId') === null ? [] : $this->get('GET', '/sittings/'.$row->text('sittingId'))->list('answers') as $answer) {
                if ($answer->text('given') !== '') {
                    $given[$row->text('name')][$answer->text('entry')] = $answer->text('given');
                }
            }
        }

        return $given;
    }

    /** @param array<string, mixed>|null $body */
    private function teacher(string $method, string $path = '', ?array $body = null): Json
    {
        return $this->as($this->world->teacher)->get($method, "/handouts/$this->handout/pads$path", $body);
    }
}
