<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\SchoolFiles;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\Api\Input\SchoolFileInput;

/** Takes a school's files out of what was uploaded: tables as they are, or packed as ZIP. */
final readonly class SchoolArchive
{
    /** Unpacked, all of them together. */
    private const LARGEST = 8_000_000;
    private const MOST_PARTS = 100;

    /**
     * @param array<string, string> $texts  by file name, in lower case
     * @param list<string>          $others names of files that are not read
     */
    private function __construct(public array $texts, public array $others)
    {
    }

    /** @param list<SchoolFileInput> $files */
    public static function open(array $files): self
    {
        $parts = [];
        foreach ($files as $file) {
            $data = base64_decode($file->data, true);
            if ($data === false) {
                throw Problem::invalid(['files' => sprintf('%s did not arrive whole. Choose it again.', $file->name)]);
            }
            array_push($parts, ...(str_starts_with($data, "PK\x03\x04") ? self::unpacked($file->name, $data) : [[$file->name, $data]]));
        }
        $texts = $others = [];
        foreach ($parts as [$name, $text]) {
            $base = mb_strtolower(basename(str_replace('\\', '/', $name)));
            if (!in_array($base, SchoolFiles::READ, true)) {
                $others[] = $base;
            } elseif (isset($texts[$base])) {
                throw Problem::invalid(['files' => sprintf('There are two files called %s.', $base)]);
            } else {
                $texts[$base] = $text;
            }
        }
        if ($texts === []) {
            throw Problem::invalid(['files' => 'None of these is users.csv, classes.csv or enrollments.csv.']);
        }
        if (array_sum(array_map(strlen(...), $texts)) > self::LARGEST) {
            throw self::tooLarge();
        }

        return new self($texts, array_values(array_unique($others)));
    }

    /** @return list<array{string, string}> name and text of the tables in it; of all else the name alone */
    private static function unpacked(string $name, string $data): array
    {
        $path = tempnam(sys_get_temp_dir(), 'school');
        if ($path === false || file_put_contents($path, $data) === false) {
            throw new \RuntimeException('No temporary file.');
        }
        $archive = new \ZipArchive();
        try {
            if ($archive->open($path, \ZipArchive::RDONLY) !== true) {
                throw Problem::invalid(['files' => sprintf('%s is a broken archive.', $name)]);
            }
            if ($archive->numFiles > self::MOST_PARTS) {
                throw self::tooLarge();
            }
            $parts = [];
            $room = self::LARGEST;
            for ($i = 0; $i < $archive->numFiles; ++$i) {
                $part = (string) $archive->getNameIndex($i);
                if (str_ends_with($part, '/')) {
                    continue;
                }
                $wanted = in_array(mb_strtolower(basename($part)), SchoolFiles::READ, true);
                // What the archive says of its size is not believed.
                $text = $wanted ? $archive->getFromIndex($i, $room + 1) : '';
                if ($text === false) {
                    throw Problem::invalid(['files' => sprintf('%s in %s cannot be unpacked.', $part, $name)]);
                }
                $room -= strlen($text);
                if ($room < 0) {
                    throw self::tooLarge();
                }
                $parts[] = [$part, $text];
            }

            return $parts;
        } finally {
            if ($archive->status === \ZipArchive::ER_OK && $archive->filename !== '') {
                $archive->close();
            }
            unlink($path);
        }
    }

    private static function tooLarge(): Problem
    {
        return Problem::invalid(['files' => 'This is more than is read at once (8 MB unpacked). Take one year at a time.']);
    }
}
