<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** One question after the other: what was left is left for good. */
final class InOrderTest extends ApiCase
{
    private string $sitting;

    public function testAnAnswerThatWasLeftChangesNoMore(): void
    {
        $this->begin(['inOrder' => true]);
        $this->save('e-text', 'SECRETBROOK', 1);
        $this->leave('e-text');
        self::assertSame('older', $this->save('e-text', 'SECRETROCK', 2));
        self::assertSame('SECRETBROOK', $this->step('e-text')->text('value.text'));
    }

    public function testWhatWasLeftBlankStaysBlank(): void
    {
        $this->begin(['inOrder' => true]);
        $this->leave('e-text');
        self::assertFalse($this->step('e-text')->at('open'));
        self::assertSame('older', $this->save('e-text', 'SECRETROCK', 1));
        self::assertSame('', $this->step('e-text')->text('value.text'));
        self::assertNull($this->step('e-text')->at('told'), 'leaving tells nothing that the plan does not tell');
    }

    public function testABlankAnswerIsNotSettledWhereOnlySomethingIsTold(): void
    {
        $this->begin(['feedback' => ['verdict' => 'at once']]);
        $this->leave('e-text');
        self::assertTrue($this->step('e-text')->at('open'));
        self::assertSame('kept', $this->save('e-text', 'SECRETROCK', 1));
    }

    public function testNothingIsSettledElsewhere(): void
    {
        $this->begin(['wholePage' => true, 'pasting' => false]);
        self::assertSame([true, false, false], array_map(
            fn (string $key): mixed => $this->get('GET', "/me/sittings/$this->sitting")->at($key),
            ['wholePage', 'inOrder', 'pasting'],
        ));
        $this->refused(409, 'POST', "/me/sittings/$this->sitting/settle", ['entry' => 'e-text', 'try' => 1]);
    }

    public function testWhereWorkingIsWantedAnAnswerIsNotLeftWithoutIt(): void
    {
        $this->begin(['needsWorking' => true, 'inOrder' => true]);
        $this->leave('e-choice');
        self::assertFalse($this->step('e-choice')->at('open'), 'what is blank has nothing to show');
        $this->begin(['needsWorking' => true]);
        $picked = ['options' => [$this->shown($this->sitting, 'a')]];
        $save = fn (int $counter, ?array $working): Json => $this->get('PUT', "/me/sittings/$this->sitting/responses", ['saves' => [[
            'entry' => 'e-choice', 'try' => 1, 'value' => $picked, 'counter' => $counter, 'clientId' => 'x', 'working' => $working,
        ]]]);
        $save(1, null);
        $refused = $this->refused(409, 'POST', "/me/sittings/$this->sitting/go-on", ['visit' => 1]);
        self::assertSame('Your working is still missing at question 1.', $refused->text('title'));
        $save(2, ['strokes' => [], 'files' => [], 'text' => 'I held it against the light.']);
        self::assertSame(2, $this->get('POST', "/me/sittings/$this->sitting/go-on", ['visit' => 1])->int('visit'));
    }

    public function testLeavingTheFullScreenIsToldAndCountedOnce(): void
    {
        $handout = $this->begin(['fullScreen' => true]);
        $left = '0190a0a0-0000-7000-8000-00000000f001';
        foreach ([0, 12, 5] as $seconds) {
            $this->get('PUT', "/me/sittings/$this->sitting/left/$left", ['seconds' => $seconds]);
        }
        $this->get('PUT', "/me/sittings/$this->sitting/left/0190a0a0-0000-7000-8000-00000000f002", ['seconds' => 3]);
        $row = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/lookout")->list('rows')[0];
        self::assertSame([2, 15], [$row->int('left'), $row->int('leftFor')]);
    }

    public function testElsewhereNobodyIsToldWhoLeavesTheFullScreen(): void
    {
        $handout = $this->begin([]);
        $this->get('PUT', "/me/sittings/$this->sitting/left/0190a0a0-0000-7000-8000-00000000f001", ['seconds' => 9]);
        self::assertSame(0, $this->as($this->world->teacher)->get('GET', "/handouts/$handout/lookout")->int('rows.0.left'));
    }

    /** @param array<string, mixed> $conditions */
    private function begin(array $conditions): string
    {
        $handout = $this->world->handOut($conditions);
        $this->sitting = $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/handouts/$handout/open")->text('id');

        return $handout;
    }

    private function leave(string $entry): void
    {
        $this->get('POST', "/me/sittings/$this->sitting/settle", ['entry' => $entry, 'try' => 1]);
    }

    /** @return string what became of it */
    private function save(string $entry, string $text, int $counter): string
    {
        return $this->get('PUT', "/me/sittings/$this->sitting/responses", ['saves' => [
            ['entry' => $entry, 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => "c$counter"],
        ]])->text('kept.0.fate');
    }

    private function step(string $entry): Json
    {
        foreach ($this->get('GET', "/me/sittings/$this->sitting")->list('steps') as $step) {
            if ($step->text('entry') === $entry) {
                return $step;
            }
        }
        self::fail("no step $entry");
    }
}
