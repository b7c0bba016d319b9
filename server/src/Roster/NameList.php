<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Platform\Http\Problem;

/**
 * Reads a list of names as it is pasted: a name a line, or CSV with commas, semicolons or tabs (RFC 4180 quoting).
 * A header is recognised by its words. Without one, numbering and e-mail addresses are dropped, "Lind, Ada" is read as last name and first name,
 * and two columns of names in every line as first name and last name.
 */
final class NameList
{
    public const MOST = 5000;
    /** How much of a pasted line is shown beside what was read. */
    private const SHOWN = 120;
    private const LARGEST = 1_000_000;
    private const HEADERS = [
        'name',
        'names',
        'student',
        'students',
        'first name',
        'last name',
        'full name',
        'forename',
        'surname',
        'given name',
        'family name',
        'pupil',
    ];
    private const LAST = ['last name', 'surname', 'family name'];
    private const FIRST = ['first name', 'forename', 'given name'];

    /** @return list<array{line: int, given: string, name: string}> each with the line as it was pasted */
    public static function read(string $text): array
    {
        if (strlen($text) > self::LARGEST) {
            throw Problem::invalid(['text' => 'This list is longer than 1 MB. Paste one class at a time.']);
        }
        if (str_starts_with($text, "\u{FEFF}")) {
            $text = substr($text, 3);
        }
        if (str_starts_with($text, "\xFF\xFE") || str_starts_with($text, "\xFE\xFF")) {
            $text = mb_convert_encoding($text, 'UTF-8', 'UTF-16');
        } elseif (!mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        $text = str_replace(["\r\n", "\r"], "\n", (string) $text);
        if (trim($text) === '') {
            throw Problem::invalid(['text' => 'Paste at least one name.']);
        }
        $rows = self::rows($text, self::separator($text));
        $header = array_map(static fn (string $c): string => mb_strtolower(trim($c)), $rows[0]['cells'] ?? []);
        $columns = [0];
        $known = array_intersect($header, self::HEADERS);
        if ($known !== []) {
            array_shift($rows);
            $last = array_key_first(array_intersect($header, self::LAST));
            $first = array_key_first(array_intersect($header, self::FIRST));
            $columns = $last !== null && $first !== null ? [$first, $last] : [array_key_first($known)];
        }
        $lines = array_map(static fn (array $row): array => self::plain($row['cells']), $rows);
        $twoNames = self::areTwoNames($lines);
        $pasted = explode("\n", $text);
        $names = [];
        foreach ($rows as $i => $row) {
            $name = $known === []
                ? self::nameIn($lines[$i], $twoNames)
                : self::turned(PersonName::tidy(implode(' ', array_map(static fn (int $c): string => $row['cells'][$c] ?? '', $columns))));
            if ($name !== '') {
                $given = mb_substr(PersonName::tidy($pasted[$row['line'] - 1] ?? ''), 0, self::SHOWN);
                $names[] = ['line' => $row['line'], 'given' => $given, 'name' => $name];
            }
        }
        if (count($names) > self::MOST) {
            throw Problem::invalid(['text' => sprintf('There are %d names here; at most %d are read at once.', count($names), self::MOST)]);
        }

        return $names;
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string> without e-mail addresses, and without a number in front: "1. Ada Lind", or a first column of numbers
     */
    private static function plain(array $cells): array
    {
        $cells = array_map(static fn (string $c): string => (string) preg_replace('/<?[^\s<>@]+@[^\s<>@]+>?/u', '', $c), $cells);
        while (count($cells) > 1 && preg_match('/^\s*(?:\d{1,4}[.)]?)?\s*$/', $cells[0]) === 1) {
            array_shift($cells);
        }
        $cells[0] = (string) preg_replace('/^\s*\d{1,4}(?:\s*[.):]\s*|\s+)(?=\p{L})/u', '', $cells[0] ?? '');

        return array_values($cells);
    }

    /**
     * A second column holds names when it does so wherever it holds anything, unless the first holds first and last names already.
     *
     * @param list<list<string>> $lines
     */
    private static function areTwoNames(array $lines): bool
    {
        $filled = array_filter($lines, static fn (array $cells): bool => trim($cells[1] ?? '') !== '');
        $full = array_filter($filled, static fn (array $cells): bool => str_contains(trim($cells[0]), ' '));

        return count($full) < count($filled)
            && array_filter($filled, static fn (array $cells): bool => !self::looksLikeAName($cells[1] ?? '')) === [];
    }

    /** @param list<string> $cells */
    private static function nameIn(array $cells, bool $twoNames): string
    {
        $second = $cells[1] ?? '';
        // A comma and a space between them: the way of writing with the last name first.
        if (str_starts_with($second, ' ') && self::looksLikeAName($second)) {
            return PersonName::tidy($second.' '.$cells[0]);
        }

        return $twoNames && $second !== '' ? PersonName::tidy($cells[0].' '.$second) : self::turned(PersonName::tidy($cells[0]));
    }

    /** "Lind, Ada" in one piece is Ada Lind. */
    private static function turned(string $name): string
    {
        $parts = explode(', ', $name);

        return count($parts) === 2 && self::looksLikeAName($parts[0]) && self::looksLikeAName($parts[1]) ? $parts[1].' '.$parts[0] : $name;
    }

    private static function looksLikeAName(string $text): bool
    {
        return preg_match('/^[\p{L}\p{M}\'’. -]{1,60}$/u', trim($text)) === 1;
    }

    private static function separator(string $text): string
    {
        $line = strtok($text, "\n");
        $line = $line === false ? '' : $line;
        foreach (["\t", ';', ','] as $separator) {
            if (str_contains($line, $separator)) {
                return $separator;
            }
        }

        return str_contains($text, ';') ? ';' : ',';
    }

    /** @return list<array{line: int, cells: list<string>}> */
    private static function rows(string $text, string $separator): array
    {
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            throw new \RuntimeException('No memory stream.');
        }
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        $line = 1;
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            $cells = array_map(strval(...), $cells);
            // A line that is written in another way than the first.
            $apart = count($cells) > 1 ? false : preg_split('/[\t;]/', $cells[0]);
            $rows[] = ['line' => $line, 'cells' => $apart === false ? $cells : $apart];
            $line += 1 + array_sum(array_map(static fn (?string $c): int => substr_count($c ?? '', "\n"), $cells));
        }
        fclose($stream);

        return $rows;
    }
}
