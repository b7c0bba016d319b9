<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Platform\Http\Problem;

/**
 * What an uploaded file is by its content, whatever it is called: pictures drawn anew, drawings rebuilt, PDFs drawn page by
 * page, sound and film as they came.
 */
final readonly class Content
{
    /**
     * @param string       $path  of the bytes that are kept
     * @param list<string> $pages paths of the pictures of a PDF's pages
     */
    private function __construct(
        public string $mediaType,
        public Kind $kind,
        public string $path,
        public ?int $width = null,
        public ?int $height = null,
        public array $pages = [],
    ) {
    }

    /**
     * @param string               $path    of what came in; it may be rewritten
     * @param non-empty-list<Kind> $allowed
     * @param string               $folder  for what is made of it
     *
     * @throws Problem that says what is wrong with it
     */
    public static function read(string $path, array $allowed, string $folder): self
    {
        if (filesize($path) === 0) {
            throw self::refused('The file is empty. Choose it again.');
        }
        $head = (string) file_get_contents($path, false, null, 0, 4096);
        $type = self::typeOf($path, $head);
        $kind = $type === null ? null : Kind::ofType($type);
        if ($type === null || $kind === null || !in_array($kind, $allowed, true)) {
            throw self::refused(sprintf('This is not %s, whatever its name says.', Kind::list($allowed)));
        }
        if (filesize($path) > $kind->largest()) {
            throw new Problem(413, 'The file is too large.', sprintf('%s may have %d MB.', ucfirst($kind->inWords()), $kind->largest() / 1_000_000));
        }

        return match ($kind) {
            Kind::Picture => Drawing::looksLikeOne($head) ? self::drawing($path) : self::picture($path),
            Kind::Pdf => self::pdf($path, $folder),
            default => new self($type, $kind, $path),
        };
    }

    /** Bytes of our own whose type is known to be true. */
    public static function ofOurOwn(string $path, string $mediaType): self
    {
        if ($mediaType === 'image/svg+xml') {
            $drawing = Drawing::read((string) file_get_contents($path));

            return new self($mediaType, Kind::Picture, $path, $drawing->width, $drawing->height);
        }
        $size = @getimagesize($path);

        return new self(
            $mediaType,
            Kind::ofType($mediaType) ?? throw new \LogicException("Nothing is known of $mediaType."),
            $path,
            $size === false ? null : $size[0],
            $size === false ? null : $size[1],
        );
    }

    private static function typeOf(string $path, string $head): ?string
    {
        if (Drawing::looksLikeOne($head)) {
            return 'image/svg+xml';
        }
        if (str_starts_with($head, '%PDF-')) {
            return 'application/pdf';
        }
        $picture = @getimagesize($path);
        if ($picture !== false) {
            return $picture['mime'];
        }

        return str_starts_with($head, "PK\x03\x04") ? OfficeFile::typeOf($path) : Tune::typeOf($path);
    }

    private static function picture(string $path): self
    {
        $picture = Picture::read((string) file_get_contents($path));
        file_put_contents($path, $picture->bytes);

        return new self($picture->mediaType, Kind::Picture, $path, $picture->width, $picture->height);
    }

    private static function drawing(string $path): self
    {
        $drawing = Drawing::read((string) file_get_contents($path));
        file_put_contents($path, $drawing->bytes);

        return new self('image/svg+xml', Kind::Picture, $path, $drawing->width, $drawing->height);
    }

    private static function pdf(string $path, string $folder): self
    {
        $pages = Pages::draw($path, $folder);
        $size = getimagesize($pages[0]);

        return new self('application/pdf', Kind::Pdf, $path, $size === false ? null : $size[0], $size === false ? null : $size[1], $pages);
    }

    private static function refused(string $why): Problem
    {
        return Problem::invalid(['file' => $why]);
    }
}
