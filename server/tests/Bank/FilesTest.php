<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Response;

final class FilesTest extends ApiCase
{
    public function testAPictureIsKeptByWhatItIsNotByItsName(): void
    {
        $answer = $this->send('chart.html', self::png());
        self::assertSame(200, $answer->getStatusCode());
        $file = json_decode((string) $answer->getContent(), true);
        self::assertIsArray($file);
        self::assertSame('image/png', $file['mediaType'] ?? null);
        self::assertIsString($file['id'] ?? null);

        $shown = $this->ask('GET', '/files/'.$file['id']);
        self::assertSame([1, 1], array_slice((array) getimagesizefromstring((string) $shown->getContent()), 0, 2));
        self::assertSame(['image/png', 'nosniff'], [$shown->headers->get('Content-Type'), $shown->headers->get('X-Content-Type-Options')]);
        self::assertStringContainsString('sandbox', (string) $shown->headers->get('Content-Security-Policy'));
        $this->as($this->world->stranger)->refused(404, 'GET', '/files/'.$file['id']);
    }

    public function testWhatIsNoPictureIsRefused(): void
    {
        foreach (['<svg xmlns="http://www.w3.org/2000/svg"><script>x()</script></svg>', '<html></html>', '', 'GIF89'] as $bytes) {
            $answer = $this->send('picture.png', $bytes);
            self::assertSame(422, $answer->getStatusCode(), $bytes);
            self::assertStringNotContainsString('Stack', (string) $answer->getContent());
        }
        self::assertSame(413, $this->send('large.png', self::png().str_repeat("\0", 2_000_000))->getStatusCode());
        $this->refused(422, 'POST', '/files');
        self::assertNull($this->tables->row('SELECT 1 FROM file'));
    }

    public function testAPictureIsDrawnAnewAndHoldsNothingElse(): void
    {
        $hidden = self::png().'<?php SECRET ?>';
        $shown = $this->keptAs($this->send('chart.png', $hidden));
        self::assertStringNotContainsString('SECRET', $shown);

        $wide = imagecreatetruecolor(4000, 1000);
        self::assertNotFalse($wide);
        $size = getimagesizefromstring($this->keptAs($this->send('wide.jpg', self::jpeg($wide))));
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
        $shown = imagecreatefromstring($this->keptAs($this->send('camera.jpg', $jpeg)));

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
            'empty' => '',
            'not a PNG, JPEG' => '<svg xmlns="http://www.w3.org/2000/svg"><script>x()</script></svg>',
        ] as $words => $bytes) {
            $answer = $this->send('picture.png', $bytes);
            self::assertSame(422, $answer->getStatusCode(), $words);
            $said = json_encode(json_decode((string) $answer->getContent()), JSON_UNESCAPED_UNICODE);
            self::assertStringContainsString($words, (string) $said);
        }
        self::assertNull($this->tables->row('SELECT 1 FROM file'));
    }

    public function testTheSamePictureIsKeptOnceInATeam(): void
    {
        $ids = array_map(
            fn (): mixed => ((array) json_decode((string) $this->send('chart.png', self::png())->getContent(), true))['id'] ?? null,
            [1, 2],
        );
        self::assertSame($ids[0], $ids[1]);
        self::assertCount(1, $this->tables->rows('SELECT id FROM file'));
    }

    private function keptAs(Response $kept): string
    {
        self::assertSame(200, $kept->getStatusCode(), (string) $kept->getContent());
        $id = ((array) json_decode((string) $kept->getContent(), true))['id'] ?? null;
        self::assertIsString($id);

        return (string) $this->ask('GET', "/files/$id")->getContent();
    }

    private static function jpeg(\GdImage $picture): string
    {
        ob_start();
        imagejpeg($picture, null, 92);

        return (string) ob_get_clean();
    }

    private function send(string $name, string $bytes): Response
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'chalk');
        file_put_contents($path, $bytes);
        $this->as($this->world->teacher);
        $this->browser->request(
            'POST',
            'http://localhost/api/files',
            [],
            ['file' => new UploadedFile($path, $name, 'image/png', null, true)],
            ['HTTP_X_CHALK_LADDER' => '1'],
        );

        return $this->browser->getResponse();
    }

    private static function png(): string
    {
        return (string) base64_decode(
            'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
            true,
        );
    }
}
