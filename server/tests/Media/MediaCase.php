<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Media;

use ChalkLadder\Server\Tests\ApiCase;
use Symfony\Component\HttpFoundation\Response;

/** Sends files as devices do: announced, then piece by piece. */
abstract class MediaCase extends ApiCase
{
    protected const ALL = ['picture', 'pdf', 'sound', 'film', 'document'];

    /**
     * The answer to the last piece.
     *
     * @param list<string> $kinds
     */
    protected function send(string $name, string $bytes, array $kinds = ['picture'], string $place = '/uploads'): Response
    {
        $answer = $this->ask('POST', $place, ['name' => $name, 'size' => strlen($bytes), 'kinds' => $kinds]);
        if ($answer->getStatusCode() !== 200) {
            return $answer;
        }
        $upload = ((array) json_decode((string) $answer->getContent(), true))['id'] ?? null;
        self::assertIsString($upload);
        foreach (str_split($bytes, 1_000_000) as $i => $piece) {
            $answer = $this->piece("$place/$upload", $i * 1_000_000, $piece);
        }

        return $answer;
    }

    protected function piece(string $upload, int $at, string $bytes): Response
    {
        return $this->askBytes('PUT', "$upload?at=$at", $bytes);
    }

    /** The id of the file that it became. */
    protected function kept(Response $answer): string
    {
        self::assertSame(200, $answer->getStatusCode(), (string) $answer->getContent());
        $file = ((array) json_decode((string) $answer->getContent(), true))['file'] ?? null;
        self::assertIsArray($file);
        self::assertIsString($file['id'] ?? null);

        return $file['id'];
    }

    protected function said(Response $answer): string
    {
        return (string) json_encode(json_decode((string) $answer->getContent()), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** What nginx would send for a response that hands over to it. */
    protected function sentFile(Response $response): string
    {
        self::assertSame(200, $response->getStatusCode(), (string) $response->getContent());
        $place = (string) $response->headers->get('X-Accel-Redirect');
        self::assertStringStartsWith('/internal/files/', $place);

        return (string) file_get_contents(getenv('CHALK_STATE').'/files/'.substr($place, strlen('/internal/files/')));
    }

    /** Pieces that lie about. */
    protected function pieces(): int
    {
        return count((array) glob(getenv('CHALK_STATE').'/files/pieces/*/*'));
    }

    protected static function png(): string
    {
        return (string) base64_decode(
            'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
            true,
        );
    }

    protected static function jpeg(\GdImage $picture): string
    {
        ob_start();
        imagejpeg($picture, null, 92);

        return (string) ob_get_clean();
    }
}
