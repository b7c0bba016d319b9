<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

/** Sound and film, told by the head of their container. They are kept as they come: browsers play these types. */
final class Tune
{
    /** Bytes that are looked at; the tracks are named near the beginning. */
    private const HEAD = 262_144;

    /** Null where it is neither. */
    public static function typeOf(string $path): ?string
    {
        $head = (string) file_get_contents($path, false, null, 0, self::HEAD);

        return match (true) {
            // Matroska (RFC 9559, section 5.1): the doc type, then tracks by their codec's name.
            str_starts_with($head, "\x1a\x45\xdf\xa3") && str_contains(substr($head, 0, 100), 'webm') => preg_match('/V_(VP8|VP9|AV1|MPEG4)/', $head) === 1 ? 'video/webm' : 'audio/webm',
            // ISO/IEC 14496-12, 4.3: the brand; films have a track whose handler is `vide`.
            substr($head, 4, 4) === 'ftyp' => self::film($path, $head) ? 'video/mp4' : 'audio/mp4',
            str_starts_with($head, 'OggS') => str_contains(substr($head, 0, 200), "\x80theora") ? null : 'audio/ogg',
            str_starts_with($head, 'RIFF') && substr($head, 8, 4) === 'WAVE' => 'audio/wav',
            str_starts_with($head, 'ID3') || preg_match('/^\xff[\xe2\xe3\xf2\xf3\xfa\xfb]/', $head) === 1 => 'audio/mpeg',
            default => null,
        };
    }

    /** The movie box may stand at the end. */
    private static function film(string $path, string $head): bool
    {
        $size = (int) filesize($path);
        $tail = $size > self::HEAD ? (string) file_get_contents($path, false, null, max(0, $size - self::HEAD)) : '';

        return preg_match('/hdlr.{8}vide/s', $head.$tail) === 1;
    }
}
