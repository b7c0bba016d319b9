<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Sitting;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** One student helps another under an alias, and the teacher sees all of it. */
final class HelpingTest extends ApiCase
{
    private const HELP = '0190a0a0-0000-7000-8000-000000000a01';
    private string $handout;
    private string $helped;
    private string $helper;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        $this->helper = $this->world->sit('Cleo Marsh', $this->handout, ['e-text' => ['text' => 'SECRETROCK']]);
        $this->helped = $this->open('Ada Okafor');
    }

    public function testWhoHasItRightAndIsFreeMayBeAsked(): void
    {
        $benoit = $this->open('Benoît Larsen');
        self::assertSame(['Cleo Marsh'], $this->teacher('GET', "/sittings/$this->helped/helpers/e-text")->column('helpers', 'name'));
        self::assertSame([], $this->teacher('GET', "/sittings/$this->helped/helpers/e-number")->list('helpers'));
        $this->asks();
        self::assertSame([], $this->teacher('GET', "/sittings/$benoit/helpers/e-text")->list('helpers'));
        $this->refused(409, 'POST', "/sittings/$benoit/helps", self::with('b02', $this->id('Cleo Marsh')));
        $this->refused(409, 'POST', "/sittings/$this->helped/helps", self::with('b03', $this->id('Benoît Larsen')));
    }

    public function testTheTwoSeeOneQuestionAndNeverWhoTheOtherIs(): void
    {
        $this->asks();
        self::assertNull($this->of('Ada Okafor', $this->helped)->at('help'), 'nobody has said yes');
        $asked = $this->of('Cleo Marsh', $this->helper);
        self::assertSame(['asked', null, true], [$asked->at('help.state'), $asked->at('help.face'), $asked->at('help.isHelper')]);
        $taken = $this->as($this->world->students['Cleo Marsh'])->get('PUT', "/me/sittings/$this->helper/help");
        self::assertSame(['on', '<p>Name the bank.</p>'], [$taken->at('help.state'), $taken->at('help.face.prompt')]);
        $this->say('Cleo Marsh', $this->helper, '1', 'What lies under the sand?');
        $ada = $this->say('Ada Okafor', $this->helped, '2', 'Something hard?');
        self::assertSame(['What lies under the sand?', 'Something hard?'], $ada->column('help.lines', 'words'));
        self::assertNull($ada->at('help.face'), 'her own work shows it');
        self::assertSame([$taken->at('help.you'), $taken->at('help.other')], [$ada->at('help.other'), $ada->at('help.you')]);
        foreach ([['Ada Okafor', $this->helped, 'Cleo'], ['Cleo Marsh', $this->helper, 'Ada']] as [$who, $sitting, $other]) {
            $body = (string) $this->as($this->world->students[$who])->ask('GET', "/me/sittings/$sitting")->getContent();
            self::assertStringNotContainsString($other, $body);
            self::assertStringNotContainsString($sitting === $this->helped ? $this->helper : $this->helped, $body);
        }
    }

    public function testWhatTellsWhoSomebodyIsWaitsForTheTeacher(): void
    {
        $this->on();
        self::assertSame(['a name'], $this->say('Cleo Marsh', $this->helper, '1', 'I am cleo, sit by me')->column('help.lines', 'held'));
        self::assertSame([], $this->of('Ada Okafor', $this->helped)->list('help.lines'));
        $line = $this->teacher('GET', "/handouts/$this->handout/helps")->text('helps.0.lines.0.id');
        $this->get('POST', '/helps/'.self::HELP."/lines/$line/let");
        self::assertSame(['I am cleo, sit by me'], $this->of('Ada Okafor', $this->helped)->column('help.lines', 'words'));
    }

    public function testEachOfTheThreeCanStopIt(): void
    {
        $this->on();
        $this->teacher('DELETE', '/helps/'.self::HELP);
        self::assertNull($this->of('Ada Okafor', $this->helped)->at('help'));
        $this->as($this->world->students['Cleo Marsh'])
            ->refused(409, 'POST', "/me/sittings/$this->helper/help", ['id' => self::uuid('c01'), 'words' => 'Still there?']);
        $this->teacher('POST', '/helps/'.self::HELP.'/resume');
        self::assertNotNull($this->of('Ada Okafor', $this->helped)->at('help'));
        $this->as($this->world->students['Ada Okafor'])->get('DELETE', "/me/sittings/$this->helped/help");
        self::assertNull($this->of('Cleo Marsh', $this->helper)->at('help'));
        $this->teacher('POST', '/helps/'.self::HELP.'/resume');
        self::assertNull($this->of('Cleo Marsh', $this->helper)->at('help'), 'what a student has stopped stays so');
        self::assertSame(['over', 'helped'], array_values(array_intersect_key(
            $this->teacher('GET', "/handouts/$this->handout/helps")->map('helps.0'),
            ['state' => 1, 'overBy' => 1],
        )));
        $this->asks('a09');
        $this->as($this->world->students['Cleo Marsh'])->get('DELETE', "/me/sittings/$this->helper/help");
        self::assertSame('helper', $this->teacher('GET', "/handouts/$this->handout/helps")->text('helps.0.overBy'));
    }

    public function testItIsOverWithTheWorkAndFreesTheHelper(): void
    {
        $this->on();
        $this->teacher('POST', "/sittings/$this->helped/take-in");
        self::assertNull($this->of('Cleo Marsh', $this->helper)->at('help'));
        $benoit = $this->open('Benoît Larsen');
        $this->teacher('POST', "/sittings/$benoit/helps", self::with('b05', $this->id('Cleo Marsh')));
        self::assertSame('asked', $this->of('Cleo Marsh', $this->helper)->at('help.state'));
    }

    public function testNothingIsSaidWhileHeldTwiceOrBeforeAYes(): void
    {
        $this->asks();
        $line = ['id' => self::uuid('c01'), 'words' => 'Think of sand.'];
        $this->as($this->world->students['Cleo Marsh'])->refused(409, 'POST', "/me/sittings/$this->helper/help", $line);
        $this->get('PUT', "/me/sittings/$this->helper/help");
        $this->get('POST', "/me/sittings/$this->helper/help", $line);
        self::assertCount(1, $this->get('POST', "/me/sittings/$this->helper/help", $line)->list('help.lines'));
        $this->teacher('POST', "/handouts/$this->handout/hold", ['words' => '']);
        $this->as($this->world->students['Ada Okafor'])
            ->refused(409, 'POST', "/me/sittings/$this->helped/help", ['id' => self::uuid('c02'), 'words' => 'While held']);
    }

    private function open(string $who): string
    {
        return $this->as($this->world->students[$who])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    private function on(): void
    {
        $this->asks();
        $this->as($this->world->students['Cleo Marsh'])->get('PUT', "/me/sittings/$this->helper/help");
    }

    private function asks(string $id = 'a01'): void
    {
        $this->teacher('POST', "/sittings/$this->helped/helps", self::with($id, $this->id('Cleo Marsh')));
    }

    /** @param array<string, mixed>|null $body */
    private function teacher(string $method, string $path, ?array $body = null): Json
    {
        return $this->as($this->world->teacher)->get($method, $path, $body);
    }

    private function of(string $who, string $sitting): Json
    {
        return $this->as($this->world->students[$who])->get('GET', "/me/sittings/$sitting");
    }

    private function say(string $who, string $sitting, string $nth, string $words): Json
    {
        return $this->as($this->world->students[$who])->get('POST', "/me/sittings/$sitting/help", ['id' => self::uuid("d0$nth"), 'words' => $words]);
    }

    private function id(string $name): string
    {
        return $this->world->students[$name]->id;
    }

    /** @return array{id: string, entry: string, helper: string} */
    private static function with(string $id, string $helper): array
    {
        return ['id' => self::uuid($id), 'entry' => 'e-text', 'helper' => $helper];
    }

    private static function uuid(string $end): string
    {
        return '0190a0a0-0000-7000-8000-000000000'.$end;
    }
}
