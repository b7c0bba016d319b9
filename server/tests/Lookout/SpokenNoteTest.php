<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Tests\Media\MediaCase;

final class SpokenNoteTest extends MediaCase
{
    private const NOTE = '0190a0a0-0000-7000-8000-0000000000e1';
    private const SOUND = "RIFF\0\0\0\0WAVEfmt ";

    private string $handout;
    private string $sound;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        foreach (['Ada Okafor', 'Cleo Marsh'] as $name) {
            $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open");
        }
        $this->as($this->world->teacher);
        $this->sound = $this->kept($this->send('note.wav', self::SOUND, ['sound']));
    }

    public function testOnlyTheyHearItToWhomItIsSpokenAndOnlyWhileItStands(): void
    {
        self::assertSame([404, 404], [$this->hears('Ada Okafor'), $this->hears('Cleo Marsh')], 'nobody before it is sent');
        $this->write(['student' => $this->world->students['Ada Okafor']->id]);
        self::assertSame([200, 404], [$this->hears('Ada Okafor'), $this->hears('Cleo Marsh')]);
        $this->as($this->world->students['Ada Okafor']);
        $sitting = $this->get('POST', "/me/handouts/$this->handout/open");
        self::assertSame([$this->sound, ''], [$sitting->text('notes.0.file'), $sitting->text('notes.0.words')]);
        $this->as($this->world->teacher)->ask('DELETE', '/notes/'.self::NOTE);
        self::assertSame(404, $this->hears('Ada Okafor'), 'taken back');
    }

    public function testToAllIsToThoseWhoHaveTheWork(): void
    {
        $other = $this->world->join('8 Gannet', 'Dee Fox');
        $this->write([]);
        self::assertSame([200, 200], [$this->hears('Ada Okafor'), $this->hears('Cleo Marsh')]);
        self::assertSame(404, $this->as($other)->ask('GET', "/me/files/$this->sound")->getStatusCode());
    }

    public function testOnlyASoundOfTheTeamsIsSent(): void
    {
        $path = "/handouts/$this->handout/notes";
        $picture = $this->kept($this->send('a.png', self::png()));
        foreach ([$picture, '0190a0a0-0000-7000-8000-0000000000e9'] as $file) {
            self::assertArrayHasKey('file', $this->refused(422, 'POST', $path, ['id' => self::NOTE, 'file' => $file])->map('fields'));
        }
        $this->as($this->world->students['Cleo Marsh']);
        $sitting = $this->get('POST', "/me/handouts/$this->handout/open")->text('id');
        $cleos = $this->kept($this->send('own.wav', self::SOUND.'x', ['sound'], "/me/sittings/$sitting/uploads"));
        $this->as($this->world->teacher)->refused(422, 'POST', $path, ['id' => self::NOTE, 'file' => $cleos]);
        $this->refused(422, 'POST', $path, ['id' => self::NOTE, 'words' => ' ']);
    }

    /** @param array<string, mixed> $to */
    private function write(array $to): void
    {
        $answer = $this->as($this->world->teacher)->ask('POST', "/handouts/$this->handout/notes", ['id' => self::NOTE, 'file' => $this->sound] + $to);
        self::assertLessThan(300, $answer->getStatusCode());
    }

    private function hears(string $name): int
    {
        return $this->as($this->world->students[$name])->ask('GET', "/me/files/$this->sound")->getStatusCode();
    }
}
