<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Media;

use ChalkLadder\Server\Tests\Pdf;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;

final class FilesTest extends MediaCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher);
    }

    public function testAPictureIsKeptByWhatItIsNotByItsName(): void
    {
        $id = $this->kept($this->send('chart.html', self::png()));
        $about = $this->get('GET', "/files?ids=$id");
        self::assertSame(['image/png', 'picture', 'chart.html'], [
            $about->text('files.0.mediaType'),
            $about->text('files.0.kind'),
            $about->text('files.0.name'),
        ]);

        $shown = $this->ask('GET', "/files/$id");
        self::assertSame([1, 1], array_slice((array) getimagesizefromstring($this->sentFile($shown)), 0, 2));
        self::assertSame('image/png', $shown->headers->get('Content-Type'));
        $this->as($this->world->stranger)->refused(404, 'GET', "/files/$id");
        self::assertSame([], $this->get('GET', "/files?ids=$id,nonsense")->list('files'));
    }

    public function testWhatIsNoPictureIsRefused(): void
    {
        foreach (['<html></html>', 'GIF89', "MZ\x90\0", Pdf::of(1)] as $bytes) {
            $answer = $this->send('picture.png', $bytes);
            self::assertSame(422, $answer->getStatusCode(), $bytes);
            self::assertStringContainsString('This is not a picture', $this->said($answer));
        }
        self::assertStringContainsString('The file is empty', $this->said($this->send('empty.png', '')));
        self::assertSame(413, $this->ask('POST', '/uploads', ['name' => 'x', 'size' => 20_000_001, 'kinds' => ['picture']])->getStatusCode());
        self::assertNull($this->tables->row('SELECT 1 FROM file'));
        self::assertSame(0, $this->pieces());
    }

    public function testAPictureIsDrawnAnewAndHoldsNothingElse(): void
    {
        $hidden = self::png().'<?php SECRET ?>';
        $shown = $this->shownOf($this->send('chart.png', $hidden));
        self::assertStringNotContainsString('SECRET', $shown);

        $wide = imagecreatetruecolor(4000, 1000);
        self::assertNotFalse($wide);
        $size = getimagesizefromstring($this->shownOf($this->send('wide.jpg', self::jpeg($wide))));
        self::assertNotFalse($size);
        self::assertSame([2400, 600], [$size[0], $size[1]]);
    }

    public function testACameraPictureStandsUpright(): void
    {
        $lying = imagecreatetruecolor(40, 20);
        self::assertNotFalse($lying);
        imagefilledrectangle($lying, 0, 0, 19, 19, (int) imagecolorallocate($lying, 255, 0, 0));
        // The camera was turned: orientation 6 in an Exif block of one entry.
        $tiff = "MM\0\x2a\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\0\0\0\0";
        $exif = "Exif\0\0".$tiff;
        $jpeg = self::jpeg($lying);
        $jpeg = substr($jpeg, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
        $shown = imagecreatefromstring($this->shownOf($this->send('camera.jpg', $jpeg)));

        self::assertNotFalse($shown);
        self::assertSame([20, 40], [imagesx($shown), imagesy($shown)]);
        self::assertGreaterThan(200, (imagecolorat($shown, 10, 5) >> 16) & 255, 'red was left and is above');
        self::assertLessThan(60, (imagecolorat($shown, 10, 35) >> 16) & 255);
    }

    public function testWhatIsBrokenOrTooLargeToDrawIsSaidAndLeavesNothing(): void
    {
        $picture = imagecreatetruecolor(300, 300);
        self::assertNotFalse($picture);
        for ($i = 0; $i < 3000; ++$i) {
            imagesetpixel($picture, $i * 7919 % 300, $i * 104729 % 300, $i * 65537 % 0xFFFFFF);
        }
        $jpeg = self::jpeg($picture);
        // 20 000 × 20 000 pixels, as the head of a PNG claims them.
        $head = 'IHDR'.pack('NN', 20000, 20000)."\x08\x02\0\0\0";
        $bomb = "\x89PNG\r\n\x1a\n".pack('N', 13).$head.pack('N', crc32($head));
        foreach ([
            'not come whole' => substr($jpeg, 0, intdiv(strlen($jpeg), 2)),
            '20000 × 20000' => $bomb,
        ] as $words => $bytes) {
            $answer = $this->send('picture.png', $bytes);
            self::assertSame(422, $answer->getStatusCode(), $words);
            self::assertStringContainsString($words, $this->said($answer));
        }
        self::assertNull($this->tables->row('SELECT 1 FROM file'));
    }

    private function shownOf(Response $answer): string
    {
        return $this->sentFile($this->ask('GET', '/files/'.$this->kept($answer)));
    }

    public function testTheSamePictureIsKeptOnceInATeam(): void
    {
        self::assertSame($this->kept($this->send('chart.png', self::png())), $this->kept($this->send('again.png', self::png())));
        self::assertCount(1, $this->tables->rows('SELECT id FROM file'));
    }

    public function testADrawingIsRebuiltFromWhatIsHarmless(): void
    {
        $svg = '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 90 40" onload="x()">
            <script>SECRET()</script><style>@import "http://evil.example/x";</style>
            <g style="fill: #123456; background: url(http://evil.example/y)"><path d="M0 0L9 9" onclick="x()"/></g>
            <image href="http://evil.example/z.png"/><foreignObject><p>SECRET</p></foreignObject>
            <a href="javascript:x()"><text x="1" y="2">SECRET</text></a><use xlink:href="#a"/><use href="http://evil.example/u"/>
            <rect fill="url(#a)" stroke="url(http://evil.example/v)"/><text>Gannet Head</text></svg>';
        $id = $this->kept($this->send('chart.svg', $svg));
        $kept = $this->sentFile($this->ask('GET', "/files/$id"));

        foreach (['SECRET', 'evil', 'onload', 'onclick', 'javascript', '<style', '<image', 'background'] as $gone) {
            self::assertStringNotContainsString($gone, $kept);
        }
        foreach (['Gannet Head', 'd="M0 0L9 9"', 'fill="#123456"', 'fill="url(#a)"', 'href="#a"', 'width="90"', 'height="40"'] as $stays) {
            self::assertStringContainsString($stays, $kept);
        }
        self::assertSame([90, 40], [$this->get('GET', "/files?ids=$id")->int('files.0.width'), $this->get('GET', "/files?ids=$id")->int('files.0.height')]);
        foreach ([
            'broken' => '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1"><g></svg>',
            'too involved' => '<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1">&a;</svg>',
            'how large it is' => '<svg xmlns="http://www.w3.org/2000/svg"><g/></svg>',
        ] as $words => $bytes) {
            self::assertStringContainsString($words, $this->said($this->send('x.svg', $bytes)), $words);
        }
    }

    public function testAPdfIsDrawnPageByPage(): void
    {
        $id = $this->kept($this->send('worksheet.pdf', Pdf::of(2), ['pdf']));
        $about = $this->get('GET', "/files?ids=$id");
        self::assertSame([2, 1600, 1067], [$about->int('files.0.pages'), $about->int('files.0.width'), $about->int('files.0.height')]);
        self::assertSame('image/png', getimagesizefromstring($this->sentFile($this->ask('GET', "/files/$id/pages/2")))['mime'] ?? null);
        $this->refused(404, 'GET', "/files/$id/pages/3");
        $whole = $this->ask('GET', "/files/$id");
        self::assertSame(Pdf::of(2), $this->sentFile($whole));
        self::assertStringStartsWith('attachment; filename=worksheet.pdf', (string) $whole->headers->get('Content-Disposition'));
        $this->as($this->world->stranger)->refused(404, 'GET', "/files/$id/pages/1");
        $this->as($this->world->teacher);
        foreach ([
            'broken' => "%PDF-1.4\nnothing",
            '41 pages; at most 40' => Pdf::of(41),
            'This PDF is locked with a password.' => Pdf::locked(),
        ] as $words => $bytes) {
            self::assertStringContainsString($words, $this->said($this->send('x.pdf', $bytes, ['pdf'])));
        }
        self::assertCount(1, $this->tables->rows('SELECT id FROM file'));
    }

    /** @return iterable<string, array{string, string}> bytes, media type */
    public static function tunes(): iterable
    {
        $webm = "\x1a\x45\xdf\xa3".str_repeat("\0", 20).'webm'.str_repeat("\0", 40);
        yield 'sound of a recorder' => [$webm.'A_OPUS', 'audio/webm'];
        yield 'film of a recorder' => [$webm.'V_VP8 A_OPUS', 'video/webm'];
        yield 'm4a' => ["\0\0\0\x20ftypM4A ".str_repeat("\0", 20).'hdlr'.str_repeat("\0", 8).'soun', 'audio/mp4'];
        yield 'mp4' => ["\0\0\0\x20ftypisom".str_repeat("\0", 20).'hdlr'.str_repeat("\0", 8).'vide', 'video/mp4'];
        yield 'mp4 with its head at its end' => ["\0\0\0\x20ftypisom".str_repeat("\0", 300_000).'hdlr'.str_repeat("\0", 8).'vide', 'video/mp4'];
        yield 'mp3' => ["\xff\xfb\x90\x44".str_repeat("\0", 40), 'audio/mpeg'];
        yield 'mp3 with its title' => ['ID3'.str_repeat("\0", 40), 'audio/mpeg'];
        yield 'ogg' => ['OggS'.str_repeat("\0", 40), 'audio/ogg'];
        yield 'wav' => ['RIFF'."\0\0\0\0".'WAVEfmt ', 'audio/wav'];
    }

    #[DataProvider('tunes')]
    public function testSoundAndFilmAreToldByTheirHeadAndKeptAsTheyAre(string $bytes, string $type): void
    {
        $answer = $this->ask('GET', '/files/'.$this->kept($this->send('x.txt', $bytes, ['sound', 'film'])));
        self::assertSame($type, $answer->headers->get('Content-Type'));
        self::assertSame($bytes, $this->sentFile($answer));
        $other = str_starts_with($type, 'audio/') ? 'film' : 'sound';
        self::assertStringContainsString("This is not a $other", $this->said($this->send('x.txt', $bytes, [$other])));
    }

    public function testAnOfficeDocumentIsToldByWhatIsInIt(): void
    {
        $zip = static function (array $parts): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'chalk');
            $archive = new \ZipArchive();
            $archive->open($path, \ZipArchive::OVERWRITE);
            foreach ($parts as $name) {
                self::assertIsString($name);
                $archive->addFromString($name, $name === 'mimetype' ? 'application/vnd.oasis.opendocument.text' : 'x');
            }
            $archive->close();

            return (string) file_get_contents($path);
        };
        foreach ([
            'application/vnd.openxmlformats-officedocument.wordprocessingml.document' => ['[Content_Types].xml', 'word/document.xml'],
            'application/vnd.oasis.opendocument.text' => ['mimetype'],
        ] as $type => $parts) {
            $answer = $this->ask('GET', '/files/'.$this->kept($this->send('x', $zip($parts), ['document'])));
            self::assertSame($type, $answer->headers->get('Content-Type'));
            self::assertStringStartsWith('attachment', (string) $answer->headers->get('Content-Disposition'));
        }
        foreach ([['other.txt'], ['[Content_Types].xml', 'word/document.xml', 'word/vbaProject.bin']] as $parts) {
            self::assertSame(422, $this->send('x.docx', $zip($parts), ['document'])->getStatusCode());
        }
    }
}
