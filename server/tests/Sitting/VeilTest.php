<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

/** What a device knows options by tells nothing of the order they were written in. */
final class VeilTest extends ApiCase
{
    public function testNamesDifferFromSittingToSittingAndHoldForOne(): void
    {
        $handout = $this->world->handOut();
        $names = [];
        foreach ($this->world->students as $student) {
            $view = $this->as($student)->get('POST', "/me/handouts/$handout/open");
            self::assertSame($this->options($view), $this->options($this->get('GET', '/me/sittings/'.$view->text('id'))));
            array_push($names, ...$this->options($view));
        }
        self::assertCount(6, array_unique($names));
        self::assertSame([], array_intersect($names, ['a', 'b']));
    }

    public function testTheWrittenNameIsNoAnswer(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AFTER_HAND_IN]);
        $id = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->save($id, 'a');
        self::assertSame('none', $this->as($this->world->teacher)->get('GET', "/sittings/$id")->text('answers.0.verdict'));
        $this->as($this->world->students['Ada Okafor']);
        $this->save($id, $this->shown($id, 'a'), 2);
        self::assertSame([$this->shown($id, 'a')], $this->get('GET', "/me/sittings/$id")->at('steps.0.value.options'));
        self::assertSame('right', $this->as($this->world->teacher)->get('GET', "/sittings/$id")->text('answers.0.verdict'));
    }

    public function testSittingsBegunBeforeGoOn(): void
    {
        $handout = $this->world->handOut();
        $ada = $this->world->students['Ada Okafor'];
        $id = $this->as($ada)->get('POST', "/me/handouts/$handout/open")->text('id');
        $this->tables->run('UPDATE sitting SET veiled = false');
        self::assertSame(['a', 'b'], $this->options($this->get('GET', "/me/sittings/$id")));
        $this->save($id, 'b');
        self::assertSame(['b'], $this->get('GET', "/me/sittings/$id")->at('steps.0.value.options'));
    }

    private function save(string $id, string $option, int $counter = 1): void
    {
        $this->get(
            'PUT',
            "/me/sittings/$id/responses",
            ['saves' => [[
                'entry' => 'e-choice',
                'try' => 1,
                'value' => ['options' => [$option]],
                'counter' => $counter,
                'clientId' => "c$counter",
            ]]],
        );
    }

    /** @return list<string> */
    private function options(Json $view): array
    {
        return array_map(static fn (Json $o): string => $o->text('id'), $view->list('steps.0.face.options'));
    }
}
