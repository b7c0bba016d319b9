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
        self::assertSame(self::png(), $shown->getContent());
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
