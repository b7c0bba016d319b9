<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Media;

use ChalkLadder\Server\Media\Uploads;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

final class UploadsTest extends MediaCase
{
    public function testAFileGoesOnWhereItStopped(): void
    {
        $this->as($this->world->teacher);
        $bytes = 'RIFF'."\0\0\0\0".'WAVEfmt '.random_bytes(2000);
        $upload = '/uploads/'.$this->begin(strlen($bytes));
        self::assertSame(200, $this->piece($upload, 0, substr($bytes, 0, 900))->getStatusCode());
        // The answer was lost, and the device sends it again.
        self::assertSame(200, $this->piece($upload, 0, substr($bytes, 0, 900))->getStatusCode());
        self::assertSame(900, $this->get('GET', $upload)->int('received'));
        $early = $this->piece($upload, 1000, substr($bytes, 1000));
        self::assertSame([409, 900], [$early->getStatusCode(), ((array) json_decode((string) $early->getContent(), true))['received'] ?? null]);
        self::assertSame(422, $this->piece($upload, 900, $bytes)->getStatusCode(), 'more than was announced');
        self::assertSame(422, $this->piece($upload, 900, '')->getStatusCode());

        $id = $this->kept($this->piece($upload, 900, substr($bytes, 900)));
        self::assertSame($bytes, $this->sentFile($this->ask('GET', "/files/$id")));
        self::assertSame($id, $this->kept($this->piece($upload, 900, substr($bytes, 900))), 'the last piece once more');
        self::assertSame($id, $this->get('GET', $upload)->text('file.id'));
        self::assertSame(0, $this->pieces());
    }

    public function testNobodyElseTouchesIt(): void
    {
        $this->as($this->world->teacher);
        $upload = '/uploads/'.$this->begin(100);
        foreach ([$this->world->lead, $this->world->stranger] as $other) {
            $this->as($other);
            self::assertSame(404, $this->piece($upload, 0, 'x')->getStatusCode());
            $this->refused(404, 'GET', $upload);
            $this->refused(404, 'DELETE', $upload);
        }
        self::assertSame(0, $this->as($this->world->teacher)->get('GET', $upload)->int('received'));
    }

    public function testWhatIsGivenUpOrRefusedLeavesNothing(): void
    {
        $this->as($this->world->teacher);
        $upload = '/uploads/'.$this->begin(100);
        $this->piece($upload, 0, str_repeat('x', 50));
        self::assertSame(1, $this->pieces());
        self::assertSame(204, $this->ask('DELETE', $upload)->getStatusCode());
        self::assertSame(422, $this->piece($upload, 50, str_repeat('x', 50))->getStatusCode());
        self::assertSame(0, $this->pieces());

        self::assertSame(422, $this->send('x.wav', str_repeat('x', 100), ['sound'])->getStatusCode());
        self::assertSame(0, $this->pieces());
        self::assertNull($this->tables->row('SELECT 1 FROM file'));
    }

    public function testWhatIsNotFinishedWithinADayIsGivenUp(): void
    {
        $this->as($this->world->teacher);
        $upload = '/uploads/'.$this->begin(100);
        $this->piece($upload, 0, str_repeat('x', 50));
        $tidy = self::service(Uploads::class);
        Clock::set(new MockClock('now +23 hours'));
        $tidy->tidy();
        self::assertSame(1, $this->pieces());
        Clock::set(new MockClock('now +25 hours'));
        $tidy->tidy();
        self::assertSame(0, $this->pieces());
        $this->refused(404, 'GET', $upload);
    }

    public function testASittingHasRoomForSoMuch(): void
    {
        $handout = $this->world->handOut();
        $this->as($this->world->students['Ada Okafor']);
        $sitting = $this->get('POST', "/me/handouts/$handout/open")->text('id');
        $film = ['name' => 'x', 'size' => 50_000_000, 'kinds' => ['film']];
        for ($i = 0; $i < 4; ++$i) {
            $this->get('POST', "/me/sittings/$sitting/uploads", $film);
        }
        $full = $this->refused(413, 'POST', "/me/sittings/$sitting/uploads", ['size' => 1] + $film);
        self::assertSame('At most 60 files and 200 MB in all.', $full->text('detail'));
    }

    private function begin(int $size): string
    {
        return $this->get('POST', '/uploads', ['name' => 'x.wav', 'size' => $size, 'kinds' => ['sound']])->text('id');
    }
}
