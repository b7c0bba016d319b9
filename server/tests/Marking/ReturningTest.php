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
        self::assertSame([[$this->world->students['Ada Okafor']->id], ['Benoît Larsen']], [$done->at('students'), $done->at('waiting')]);
        $mail = $this->get('GET', '/outbox')->list('messages');
        self::assertSame(
            [['Ada Okafor', 'Heights of tide is back', 'Look at question 1 again.', 'Teacher']],
            array_map(static fn ($m): array => [$m->at('to'), $m->at('subject'), $m->at('body'), $m->at('sentBy')], $mail),
        );
        self::assertSame('returned', $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->text('handouts.0.status'));
        self::assertSame(
            'handed in',
            $this->as($this->world->students['Benoît Larsen'])->get('GET', '/me/work')->text('handouts.0.status'),
        );
    }

    public function testSomeAreReturnedBeforeTheOthers(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $cleo = $this->world->students['Cleo Marsh']->id;
        self::assertSame([$cleo], $this->returned(['students' => [$cleo]]));
        self::assertSame([], $this->returned(['students' => [$cleo]]), 'nothing is returned twice');
        self::assertSame([], $this->returned(['students' => []]));
        self::assertSame([$this->world->students['Ada Okafor']->id], $this->returned([]));
    }

    public function testReturnedWorkIsTakenBackUnlessItWasRepliedTo(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->get('POST', "/handouts/$this->handout/return", []);
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->as($ada)->get('GET', '/me/work')->text('handouts.0.sittingId');
        self::assertNotNull($this->get('GET', "/me/sittings/$id")->at('marks'));
        $this->get('POST', "/me/sittings/$id/reply", ['text' => 'Thank you']);

        self::assertSame(
            [$this->world->students['Cleo Marsh']->id],
            $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/take-back", [])->at('students'),
        );
        self::assertSame('Thank you', $this->get('GET', "/sittings/$id")->text('reply'));
        $cleo = $this->as($this->world->students['Cleo Marsh'])->get('GET', '/me/work');
        self::assertSame('handed in', $cleo->text('handouts.0.status'));
        $view = $this->get('GET', '/me/sittings/'.$cleo->text('handouts.0.sittingId'));
        self::assertNull($view->at('marks'));
        self::assertNull($view->at('steps.0.told'));
    }

    public function testWorkIsTakenBackFromSomeAlone(): void
    {
        $this->world->sit('Cleo Marsh', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $this->returned([]);
        [$ada, $cleo] = [$this->world->students['Ada Okafor']->id, $this->world->students['Cleo Marsh']->id];

        self::assertSame([], $this->get('POST', "/handouts/$this->handout/take-back", ['students' => []])->at('students'));
        self::assertSame([$cleo], $this->get('POST', "/handouts/$this->handout/take-back", ['students' => [$cleo]])->at('students'));
        self::assertArrayHasKey(
            'students[0]',
            $this->refused(422, 'POST', "/handouts/$this->handout/take-back", ['students' => ['Cleo']])->map('fields'),
        );
        self::assertSame(
            [$ada],
            array_values(array_map(
                static fn ($s): string => $s->text('studentId'),
                array_filter(
                    $this->get('GET', "/handouts/$this->handout/return")->list('students'),
                    static fn ($s): bool => $s->int('returned') === 1,
                ),
            )),
        );
    }

    public function testTheTeacherSeesWhoseTurnItIsBeforeReturning(): void
    {
        $this->handout = $this->world->handOut(['attempts' => 3]);
        foreach (['b', 'a'] as $option) {
            $this->world->sit('Ada Okafor', $this->handout, ['e-choice' => ['options' => [$option]]]);
            $this->world->sit('Benoît Larsen', $this->handout, ['e-open' => ['text' => 'Because.']]);
            $this->returned([]);
        }
        $this->world->sit('Ada Okafor', $this->handout, ['e-choice' => ['options' => ['a']]]);
        $lines = $this->get('GET', "/handouts/$this->handout/return")->list('students');

        self::assertSame(['Ada Okafor', 'Benoît Larsen'], array_map(static fn ($l): string => $l->text('name'), $lines));
        self::assertSame([1, 0, 2], [$lines[0]->int('ready'), $lines[0]->int('waiting'), $lines[0]->int('returned')]);
        self::assertNotNull($lines[0]->at('returnedAt'));
        self::assertSame([0, 2, 0], [$lines[1]->int('ready'), $lines[1]->int('waiting'), $lines[1]->int('returned')]);

        $list = $this->get('GET', '/marking');
        self::assertSame(
            [[$this->handout, 1, 1, 1]],
            array_values(array_filter(
                array_map(
                    static fn ($h): array => [$h->text('handoutId'), $h->int('ready'), $h->int('waiting'), $h->int('returned')],
                    $list->list('handouts'),
                ),
                fn (array $h): bool => $h[0] === $this->handout,
            )),
        );
        self::assertSame([], $this->as($this->world->marker)->get('GET', '/marking')->at('handouts'), 'a marker returns nothing');
    }

    public function testAReplyNeedsReturnedWorkAndWords(): void
    {
        $id = $this->as($this->world->students['Ada Okafor'])->get('GET', '/me/work')->text('handouts.0.sittingId');
        $this->refused(409, 'POST', "/me/sittings/$id/reply", ['text' => 'Already?']);
        $this->as($this->world->teacher)->get('POST', "/handouts/$this->handout/return", []);
        $this->as($this->world->students['Ada Okafor']);
        self::assertArrayHasKey('text', $this->refused(422, 'POST', "/me/sittings/$id/reply", ['text' => '  '])->map('fields'));
        self::assertArrayHasKey(
            'text',
            $this->refused(422, 'POST', "/me/sittings/$id/reply", ['text' => str_repeat('x', 5000)])->map('fields'),
        );
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return mixed ids of the students whose work went back
     */
    private function returned(array $body): mixed
    {
        return $this->get('POST', "/handouts/$this->handout/return", $body)->at('students');
    }
}
