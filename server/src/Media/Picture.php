<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Platform\Http\Problem;

/**
 * A picture as people upload it: told by its content, never by its name, and drawn anew. What was hidden in the file (where
 * it was taken, a script, bytes behind its end) is gone, and it stands upright.
 */
final readonly class Picture
{
    private const TYPES = [
        IMAGETYPE_PNG => 'image/png',
        IMAGETYPE_JPEG => 'image/jpeg',
        IMAGETYPE_GIF => 'image/gif',
        IMAGETYPE_WEBP => 'image/webp',
    ];

    /** Four bytes each while it is drawn anew: a few bytes of a file may claim billions. */
    private const MOST_PIXELS = 20_000_000;

    /** Of the longer side, in pixels: more than any page or screen shows. */
    private const LONGEST = 2400;
    private const QUALITY = 88;

    /** Quarter turns against the clock, by the orientation that a camera wrote (Exif 2.32, tag 0x0112). */
    private const TURNS = [3 => 180, 6 => 270, 8 => 90];

    private function __construct(public string $mediaType, public string $bytes, public int $width, public int $height)
    {
    }

    /** @throws Problem where it is no picture, broken, or of more pixels than are drawn */
    public static function read(string $bytes): self
    {
        if ($bytes === '') {
            throw self::refused('The file is empty. Choose it again.');
        }
        $size = @getimagesizefromstring($bytes);
        $format = $size === false ? null : (self::TYPES[$size[2]] ?? null);
        if ($size === false || $format === null) {
            throw self::refused('This is not a PNG, JPEG, GIF or WebP picture.');
        }
        [$width, $height] = $size;
        if ($width < 1 || $height < 1 || $width > intdiv(self::MOST_PIXELS, $height)) {
            throw self::refused(sprintf(
                'This picture has %d × %d pixels; at most %d million in all are taken. Make it smaller and try again.',
                $width,
                $height,
                intdiv(self::MOST_PIXELS, 1_000_000),
            ));
        }
        $drawn = self::endsAsItShould($format, $bytes) ? self::drawn($bytes) : null;
        if ($drawn === null) {
            throw self::refused('The picture is broken, or did not come whole. Try it again.');
        }
        $drawn = self::upright($drawn, $format, $bytes);
        $longer = max(imagesx($drawn), imagesy($drawn));
        if ($longer > self::LONGEST) {
            $by = self::LONGEST / $longer;
            $smaller = imagescale($drawn, max(1, (int) round(imagesx($drawn) * $by)), max(1, (int) round(imagesy($drawn) * $by)));
            $drawn = $smaller === false ? $drawn : $smaller;
        }

        return self::written($drawn, $format);
    }

    private static function refused(string $why): Problem
    {
        return Problem::invalid(['file' => $why]);
    }

    /** The library fills up what is missing of a JPEG or WebP without a word; their own marks tell. */
    private static function endsAsItShould(string $format, string $bytes): bool
    {
        return match ($format) {
            // ISO/IEC 10918-1, B.1.1.3: after the last scan (FFDA) stands the end of the image (FFD9).
            'image/jpeg' => (int) strrpos($bytes, "\xff\xd9") > (int) strrpos($bytes, "\xff\xda"),
            // The RIFF head says how many bytes follow it.
            'image/webp' => strlen($bytes) >= 8 + array_sum((array) unpack('V', substr($bytes, 4, 4))),
            default => true,
        };
    }

    /** Null where its bytes end early or do not hold together; the library says so by a warning, and draws what it has. */
    private static function drawn(string $bytes): ?\GdImage
    {
        $whole = true;
        set_error_handler(static function () use (&$whole): bool {
            $whole = false;

            return true;
        });
        try {
            $drawn = imagecreatefromstring($bytes);
        } finally {
            restore_error_handler();
        }
        if ($drawn === false || !$whole) {
            return null;
        }
        imagepalettetotruecolor($drawn);
        imagealphablending($drawn, false);
        imagesavealpha($drawn, true);

        return $drawn;
    }

    private static function upright(\GdImage $drawn, string $format, string $bytes): \GdImage
    {
        if ($format !== 'image/jpeg') {
            return $drawn;
        }
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            return $drawn;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $said = @exif_read_data($stream);
        fclose($stream);
        $orientation = is_array($said) ? ($said['Orientation'] ?? 1) : 1;
        $turn = is_int($orientation) ? (self::TURNS[$orientation] ?? 0) : 0;
        $turned = $turn === 0 ? $drawn : imagerotate($drawn, $turn, 0);

        return $turned === false ? $drawn : $turned;
    }

    private static function written(\GdImage $drawn, string $format): self
    {
        // Of a moving picture the first view is kept, which a PNG holds better.
        $format = $format === 'image/gif' ? 'image/png' : $format;
        ob_start();
        $done = match ($format) {
            'image/jpeg' => imagejpeg($drawn, null, self::QUALITY),
            'image/webp' => imagewebp($drawn, null, self::QUALITY),
            default => imagepng($drawn, null, 9),
        };
        $bytes = (string) ob_get_clean();

        return $done && $bytes !== '' ? new self($format, $bytes, imagesx($drawn), imagesy($drawn)) : throw self::refused('The picture could not be drawn anew.');
    }
}
