<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

/** Office documents: archives that name their own type inside (ECMA-376 part 2; OpenDocument 1.3 part 2). */
final class OfficeFile
{
    private const OPEN_XML = [
        'word/document.xml' => 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
        'xl/workbook.xml' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'ppt/presentation.xml' => 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
    ];
    private const OPEN_DOCUMENT = [
        'application/vnd.oasis.opendocument.text',
        'application/vnd.oasis.opendocument.spreadsheet',
        'application/vnd.oasis.opendocument.presentation',
    ];
    public const TYPES = [
        'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
        'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'application/vnd.openxmlformats-officedocument.presentationml.presentation',
        ...self::OPEN_DOCUMENT,
    ];

    /** Null where it is none, or holds a program. */
    public static function typeOf(string $path): ?string
    {
        $archive = new \ZipArchive();
        if ($archive->open($path, \ZipArchive::RDONLY) !== true) {
            return null;
        }
        try {
            if ($archive->locateName('word/vbaProject.bin') !== false || $archive->locateName('xl/vbaProject.bin') !== false) {
                return null;
            }
            foreach (self::OPEN_XML as $part => $type) {
                if ($archive->locateName('[Content_Types].xml') !== false && $archive->locateName($part) !== false) {
                    return $type;
                }
            }
            $named = $archive->getFromName('mimetype', 100);

            return in_array($named, self::OPEN_DOCUMENT, true) ? $named : null;
        } finally {
            $archive->close();
        }
    }
}
