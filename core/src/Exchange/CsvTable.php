<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Exchange;

/** Reads a CSV table with a header (RFC 4180; a byte-order mark is passed over). Faults name line and column. */
final readonly class CsvTable
{
    private const MOST_COLUMNS = 1000;

    /**
     * @param list<string>                                  $header
     * @param list<array{line: int, cells: list<string>}>   $rows   each as wide as the header
     */
    private function __construct(public array $header, public array $rows)
    {
    }

    /**
     * @param resource $stream
     * @param string   $name   how a fault calls the file
     *
     * @throws \UnexpectedValueException with file, line and column
     */
    public static function read($stream, string $name, string $delimiter = ','): self
    {
        $header = null;
        $rows = [];
        $line = 1;
        while (($cells = fgetcsv($stream, 0, $delimiter, '"', '')) !== false) {
            $here = $line;
            $row = implode("\0", $cells);
            $line += 1 + substr_count($row, "\n");
            if ($cells === [null]) {
                continue;
            }
            $texts = array_map(trim(...), array_map(strval(...), $cells));
            // The row as a whole first: a fault is rare, its place is sought only then.
            if (!mb_check_encoding($row, 'UTF-8')) {
                $at = (int) array_key_first(array_filter($texts, static fn (string $t): bool => !mb_check_encoding($t, 'UTF-8')));
                throw new \UnexpectedValueException(sprintf('%s:%d:%d: this is not UTF-8', $name, $here, $at + 1));
            }
            if ($header === null) {
                $texts[0] = (string) preg_replace('/^\x{FEFF}/u', '', $texts[0] ?? '');
                $header = self::header($texts, $name, $here);
            } elseif (count($texts) !== count($header)) {
                throw new \UnexpectedValueException(sprintf(
                    '%s:%d:%d: this row has %d cells, the header %d',
                    $name,
                    $here,
                    min(count($texts), count($header)) + 1,
                    count($texts),
                    count($header),
                ));
            } else {
                $rows[] = ['line' => $here, 'cells' => $texts];
            }
        }

        return new self($header ?? throw new \UnexpectedValueException("$name:1:1: the file is empty"), $rows);
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function header(array $texts, string $name, int $line): array
    {
        if (count($texts) > self::MOST_COLUMNS) {
            throw new \UnexpectedValueException(sprintf(
                '%s:%d:%d: more than %d columns',
                $name,
                $line,
                self::MOST_COLUMNS + 1,
                self::MOST_COLUMNS,
            ));
        }
        $seen = [];
        foreach ($texts as $i => $text) {
            if ($text === '' || isset($seen[$text])) {
                throw new \UnexpectedValueException(sprintf(
                    '%s:%d:%d: %s',
                    $name,
                    $line,
                    $i + 1,
                    $text === '' ? 'a column without a name' : "the column \"$text\" stands twice",
                ));
            }
            $seen[$text] = true;
        }

        return $texts;
    }
}
