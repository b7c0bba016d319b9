<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Marking;

use ChalkLadder\Server\Tests\ApiCase;

final class ReturningTest extends ApiCase
{
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->world->sit('Benoît Larsen', $this->handout, ['e-open' => ['text' => 'Because.']]);
        $this->as($this->world->teacher);
    }

    public function testOnlyMarkedWorkGoesBackAndTheRestIsNamed(): void
    {
        $done = $this->get('POST', "/handouts/$this->handout/return", ['message' => 'Look at question 1 again.']);
        self::assertSame([1, ['Benoît Larsen']], [$done->at('returned'), $done->at('waiting')]);
        $mail = $this->get('GET', '/outbox')->list('messages');
        self::assertSame([['Ada Okafor', 'Heights of tide is back', 'Look at question 1 again.', 'Teacher']], array_map(static fn ($m): array => [$m->at('to'), $m->at('subject'), $m->at('body'), $m->at('sentBy')], $mail));
        self::assertSame('returned', $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->text('handouts.0.status'));
        self::assertSame('handed in', $this->as($this->world->students['Benoît Larsen'])->get('GET', '/me/work')->text('handouts.0.status'));
    }

    public function testSomeAreReturnedBeforeTheOthers(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $cleo = $this->world->students['Cleo Marsh']->id;
        self::assertSame(1, $this->get('POST', "/handouts/$this->handout/return", ['students' => [$cleo]])->int('returned'));
        self::assertSame(0, $this->get('POST', "/handouts/$this->handout/return", ['students' => [$cleo]])->int('returned'), 'nothing is returned twice');
        self::assertSame(0, $this->get('POST', "/handouts/$this->handout/return", ['students' => []])->int('returned'));
        self::assertSame(1, $this->get('POST', "/handouts/$this->handout/return", [])->int('returned'));
    }

    public function testReturnedWorkIsTakenBackUnlessItWasRepliedTo(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->get('POST', "/handouts/$this->handout/return", []);
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->as($ada)->get('GET', '/me/work')->text('handouts.0.sittingId');
        self::assertNotNull($this->get('GET', "/me/sittings/$id")->at('marks'));
        $this->get('POST', "/me/sittings/$id/reply", ['text' => 'Thank you']);

        self::assertSame(1, $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/take-back")->int('returned'));
        self::assertSame('Thank you', $this->get('GET', "/sittings/$id")->text('reply'));
        $cleo = $this->as($this->world->students['Cleo Marsh'])->get('GET', '/me/work');
        self::assertSame('handed in', $cleo->text('handouts.0.status'));
        $view = $this->get('GET', '/me/sittings/'.$cleo->text('handouts.0.sittingId'));
        self::assertNull($view->at('marks'));
        self::assertNull($view->at('steps.0.told'));
    }

    public function testAReplyNeedsReturnedWorkAndWords(): void
    {
        $id = $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->text('handouts.0.sittingId');
        $this->refused(409, 'POST', "/me/sittings/$id/reply", ['text' => 'Already?']);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/return", []);
        $this->as($this->world->students['Ada Okafor']);
        self::assertArrayHasKey('text', $this->refused(422, 'POST', "/me/sittings/$id/reply", ['text' => '  '])->map('fields'));
        self::assertArrayHasKey('text', $this->refused(422, 'POST', "/me/sittings/$id/reply", ['text' => str_repeat('x', 5000)])->map('fields'));
    }
}
