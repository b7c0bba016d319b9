<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** One answer is put right; as it was given is kept, with who corrected it and why. */
final class CorrectionsTest extends ApiCase
{
    private const ID = '0190a0a0-0000-7000-8000-00000000c001';
    private string $handout;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
    }

    public function testBothAnswersAreKeptAndMarksFollowAndComeBack(): void
    {
        $sitting = $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'sand'], 'e-number' => ['text' => '98.76']]);
        self::assertSame('2', $this->work($sitting)->text('marks'));
        $this->correct($sitting, 'SECRETROCK');
        $answer = $this->answer($sitting);
        self::assertSame(
            ['SECRETROCK', 'right', 'sand', 'She said it aloud.', 'Teacher'],
            [$answer->text('given'), $answer->text('verdict'), $answer->text('corrected.given'), $answer->text('corrected.why'), $answer->text('corrected.by')],
        );
        self::assertSame('4', $this->work($sitting)->text('marks'));
        $this->correct($sitting, 'SECRETROCK');
        self::assertSame([1], $this->get('GET', "/handouts/$this->handout/results")->column('students', 'corrected'));
        $this->get('DELETE', '/corrections/'.self::ID);
        self::assertSame(['sand', null], [$this->answer($sitting)->text('given'), $this->answer($sitting)->at('corrected')]);
        self::assertSame('2', $this->work($sitting)->text('marks'));
        self::assertSame([0], $this->get('GET', "/handouts/$this->handout/results")->column('students', 'corrected'));
        $this->refused(409, 'DELETE', '/corrections/'.self::ID);
    }

    public function testWhoIsAtWorkIsToldAndMayAnswerAgain(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $sitting = $this->as($ada)->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $this->save($sitting, 'sand', 1);
        $this->correct($sitting, 'SECRETROCK');
        $step = $this->step($sitting);
        self::assertSame(['SECRETROCK', 'She said it aloud.', true], [$step->text('value.text'), $step->at('corrected'), $step->at('open')]);
        $this->save($sitting, 'mud', 2);
        self::assertSame(['mud', null], [$this->step($sitting)->text('value.text'), $this->step($sitting)->at('corrected')]);
        $this->as($this->world->teacher)->refused(409, 'DELETE', '/corrections/'.self::ID);
        self::assertSame('mud', $this->answer($sitting)->text('given'));
    }

    public function testAMarkByHandStays(): void
    {
        $sitting = $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'sand']]);
        $this->as($this->world->teacher)->get('PUT', '/marks', [
            'sittingId' => $sitting, 'entry' => 'e-text', 'try' => 1, 'credit' => '1/2', 'comment' => '', 'markVersion' => 0,
        ]);
        $this->correct($sitting, 'SECRETROCK');
        self::assertSame(['1/2', true], [$this->answer($sitting)->text('credit'), $this->answer($sitting)->at('byHand')]);
    }

    public function testWhatCannotBeCorrectedIsRefusedInWords(): void
    {
        $sitting = $this->world->sit('Ada Okafor', $this->handout, ['e-text' => ['text' => 'sand']]);
        $at = "/sittings/$sitting/corrections";
        $body = ['id' => self::ID, 'entry' => 'e-text', 'value' => ['text' => 'rock'], 'why' => 'a slip'];
        $this->as($this->world->teacher)->refused(422, 'POST', $at, ['why' => ' '] + $body);
        $this->refused(422, 'POST', $at, ['value' => ['text' => []]] + $body);
        $this->refused(404, 'POST', $at, ['entry' => 'e-number'] + $body);
        $this->refused(409, 'POST', $at, ['value' => ['strokes' => [], 'files' => [], 'text' => '']] + $body);
        self::assertSame('sand', $this->answer($sitting)->text('given'));
    }

    private function correct(string $sitting, string $text): void
    {
        $this->as($this->world->teacher)->get('POST', "/sittings/$sitting/corrections", [
            'id' => self::ID, 'entry' => 'e-text', 'try' => 1, 'value' => ['text' => $text], 'why' => 'She said it aloud.',
        ]);
    }

    private function save(string $sitting, string $text, int $counter): void
    {
        $this->as($this->world->students['Ada Okafor'])->get('PUT', "/me/sittings/$sitting/responses", ['saves' => [
            ['entry' => 'e-text', 'try' => 1, 'value' => ['text' => $text], 'counter' => $counter, 'clientId' => "c$counter"],
        ]]);
    }

    private function step(string $sitting): Json
    {
        $steps = $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$sitting")->list('steps');

        return array_values(array_filter($steps, static fn (Json $s): bool => $s->text('entry') === 'e-text'))[0];
    }

    private function work(string $sitting): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/sittings/$sitting");
    }

    private function answer(string $sitting): Json
    {
        return array_values(array_filter($this->work($sitting)->list('answers'), static fn (Json $a): bool => $a->text('entry') === 'e-text'))[0];
    }
}
