<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Platform\Http\Problem;

/**
 * Reads a list of names as it is pasted: a name a line, names that run on in one, or CSV with commas, semicolons or tabs (RFC 4180
 * quoting). A header is recognised by its words. Without one, numbering, bullets and e-mail addresses are dropped, "Lind, Ada" is read as
 * last name and first name, and two columns of names in every line as first name and last name.
 */
final class NameList
{
    public const MOST = 5000;
    /** How much of a pasted line is shown beside what was read. */
    private const SHOWN = 120;
    private const LARGEST = 1_000_000;
    /** Heads of columns: whole names, last names, first names. */
    private const WHOLE = '/^(?:(?:full|students?|pupils?|learners?)(?:[\'’]s?)? )*(?:names?|students?|pupils?|learners?)$/u';
    private const LAST = '/(?:^|\s)(?:(?:last|family)[ -]?names?|surnames?)$/';
    private const FIRST = '/(?:^|\s)(?:(?:first|given)[ -]?names?|forenames?)$/';

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
        $text = self::apart(str_replace(["\r\n", "\r"], "\n", (string) $text));
        if (trim($text) === '') {
            throw Problem::invalid(['text' => 'Paste at least one name.']);
        }
        $rows = self::rows($text, self::separator($text));
        $header = array_map(static fn (string $c): string => mb_strtolower(trim($c)), $rows[0]['cells'] ?? []);
        $columns = [0];
        $last = self::column(self::LAST, $header);
        $first = self::column(self::FIRST, $header);
        $known = self::column(self::WHOLE, $header) ?? $last ?? $first;
        if ($known !== null) {
            array_shift($rows);
            $columns = $last !== null && $first !== null ? [$first, $last] : [$known];
        }
        $lines = array_map(static fn (array $row): array => self::plain($row['cells']), $rows);
        $twoNames = self::areTwoNames($lines);
        $pasted = explode("\n", $text);
        $names = [];
        foreach ($rows as $i => $row) {
            $name = $known === null
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
     * Names that run on, as in the head of a mail ("Ada Lind, Bo Berg, Cy Cole" or "Lind, Ada; Berg, Bo"), each on a line of its own.
     * What is broken into lines runs on only where each line but the last ends with what parts the names.
     */
    private static function apart(string $text): string
    {
        // Two names with a comma between them may be one, the last name first.
        foreach ([';' => 2, ',' => 3] as $separator => $fewest) {
            $lines = array_map(trim(...), explode("\n", trim($text, " \n\t$separator")));
            $open = array_filter(array_slice($lines, 0, -1), static fn (string $line): bool => !str_ends_with($line, $separator));
            $names = array_filter(array_map(trim(...), explode($separator, implode('', $lines))), static fn (string $n): bool => $n !== '');
            $strange = array_filter($names, static fn (string $n): bool => !self::isWhole($n));
            if (count($names) >= $fewest && $open === [] && $strange === []) {
                return implode("\n", $names);
            }
        }

        return $text;
    }

    /** Whether this is somebody's whole name, perhaps with an address, the last name first, or in quotation marks. */
    private static function isWhole(string $text): bool
    {
        $name = trim(self::withoutMail($text), " \"\t");

        return self::turned($name) !== $name || (str_contains($name, ' ') && self::looksLikeAName($name));
    }

    /**
     * @param non-empty-string $head
     * @param list<string>     $header in small letters
     */
    private static function column(string $head, array $header): ?int
    {
        foreach ($header as $i => $cell) {
            if (preg_match($head, $cell) === 1) {
                return $i;
            }
        }

        return null;
    }

    private static function withoutMail(string $text): string
    {
        return (string) preg_replace('/<?[^\s<>@]+@[^\s<>@]+>?/u', '', $text);
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string> without e-mail addresses, and without what is counted by in front: "1. Ada Lind", "• Ada Lind", or a first column of numbers
     */
    private static function plain(array $cells): array
    {
        $cells = array_map(self::withoutMail(...), $cells);
        while (count($cells) > 1 && preg_match('/^\s*(?:\d{1,4}[.)]?)?\s*$/', $cells[0]) === 1) {
            array_shift($cells);
        }
        $cells[0] = (string) preg_replace('/^\s*[•·▪‣*–—-]\s+/u', '', $cells[0] ?? '');
        $cells[0] = (string) preg_replace('/^\s*\d{1,4}(?:\s*[.):]\s*|\s+)(?=\p{L})/u', '', $cells[0]);

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
