<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

/** What a file is to the people who use it; its type by its content is one of these or it is not taken. */
enum Kind: string
{
    case Picture = 'picture';
    case Pdf = 'pdf';
    case Sound = 'sound';
    case Film = 'film';
    /** Words, tables and slides from an office: kept and handed out as they are, never shown. */
    case Document = 'document';

    private const MEGABYTE = 1_000_000;

    public static function ofType(string $mediaType): ?self
    {
        return match (true) {
            in_array($mediaType, ['image/png', 'image/jpeg', 'image/gif', 'image/webp', 'image/svg+xml'], true) => self::Picture,
            $mediaType === 'application/pdf' => self::Pdf,
            str_starts_with($mediaType, 'audio/') => self::Sound,
            str_starts_with($mediaType, 'video/') => self::Film,
            in_array($mediaType, OfficeFile::TYPES, true) => self::Document,
            default => null,
        };
    }

    /** Bytes. */
    public function largest(): int
    {
        return self::MEGABYTE * match ($this) {
            self::Picture, self::Pdf, self::Document => 20,
            self::Sound => 30,
            self::Film => 50,
        };
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Picture => 'a picture (PNG, JPEG, GIF, WebP or SVG)',
            self::Pdf => 'a PDF',
            self::Sound => 'a sound (MP3, M4A, WAV, Ogg or WebM)',
            self::Film => 'a film (MP4 or WebM)',
            self::Document => 'an office document (Word, Excel, PowerPoint, OpenDocument)',
        };
    }

    /** Whether a browser may show it in place. */
    public function isShown(): bool
    {
        return $this !== self::Pdf && $this !== self::Document;
    }

    /** @param non-empty-list<self> $kinds */
    public static function list(array $kinds): string
    {
        $words = array_map(static fn (self $k): string => $k->inWords(), $kinds);
        $last = array_pop($words);

        return $words === [] ? $last : implode(', ', $words).' or '.$last;
    }
}
