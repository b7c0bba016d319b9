<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Exchange;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NotedQuestion;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteReader;

/**
 * Questions from a table with a header (RFC 4180, or pasted from a spreadsheet): one a row. What a cell says is what a line of
 * notes says, so there is one grammar (docs/formats/notes.md).
 */
final class QuestionTable
{
    /** Columns, by the word of the line that each cell becomes; right and wrong answers may have several. */
    private const HEADS = ['title' => 'title: ', 'skill' => 'skill: ', 'hint' => 'hint: ', 'because' => 'because: '];
    private const ANSWER = '/^(right|wrong)(?: \d{1,2})?$/D';

    /** @return list<NotedQuestion> their places are lines of the table */
    public static function read(string $text, Names $names): array
    {
        if (strlen($text) > NoteReader::LONGEST) {
            return NoteReader::read($text, $names);
        }
        try {
            $table = CsvTable::read(self::stream($text), 'table', self::delimiter($text));
            $columns = self::columns($table->header);
        } catch (\UnexpectedValueException $e) {
            return [new NotedQuestion(1, null, [new NoteFault((string) preg_replace('/^table:/', '', $e->getMessage()), 1)])];
        }
        $read = [];
        foreach ($table->rows as $row) {
            $cells = array_combine($columns, $row['cells']);
            if (implode('', $cells) !== '') {
                $read[] = self::question($cells, $row['line'], $names);
            }
        }

        return $read;
    }

    /** @param array<string, string> $cells by column */
    private static function question(array $cells, int $at, Names $names): NotedQuestion
    {
        $lines = $right = $wrong = [];
        foreach ($cells as $column => $cell) {
            $said = trim((string) preg_replace('/\s+/u', ' ', $cell));
            if ($said === '') {
                continue;
            }
            if (isset(self::HEADS[$column])) {
                $lines[] = self::HEADS[$column].$said;
            } elseif (preg_match(self::ANSWER, $column, $m) === 1) {
                $m[1] === 'right' ? $right[] = $said : $wrong[] = $said;
            }
        }
        // A cell is asked as it stands, whatever a line of notes would make of it.
        $prompt = '\\'.trim((string) preg_replace('/\s+/u', ' ', $cells['question'] ?? ''));
        $marks = str_replace(',', '.', trim($cells['marks'] ?? ''));
        if ($marks !== '' && preg_match(NoteReader::MARKS, $marks) !== 1) {
            return new NotedQuestion($at, null, [new NoteFault(sprintf('“%s” is no number of marks. Write one such as 2 or 1.5.', $marks), $at)]);
        }
        $lines[] = $prompt.($marks === '' ? '' : " [$marks]");
        foreach ($right as $said) {
            $lines[] = ($wrong === [] ? '= ' : 'v ').$said;
        }
        foreach ($wrong as $said) {
            $lines[] = 'x '.$said;
        }
        $read = NoteReader::read(implode("\n", $lines), $names);
        $one = $read[0] ?? new NotedQuestion($at, null, []);

        return new NotedQuestion(
            $at,
            $one->document,
            array_map(static fn (NoteFault $f): NoteFault => new NoteFault($f->getMessage(), $at), $one->faults),
        );
    }

    /**
     * @param list<string> $header
     *
     * @return list<string> in small letters
     *
     * @throws \UnexpectedValueException
     */
    private static function columns(array $header): array
    {
        $columns = array_map(static fn (string $h): string => mb_strtolower($h), $header);
        foreach ($columns as $i => $column) {
            if (!in_array($column, ['question', 'marks'], true) && !isset(self::HEADS[$column]) && preg_match(self::ANSWER, $column) !== 1) {
                throw new \UnexpectedValueException(sprintf(
                    'A column “%s” is not known. There are: question, marks, title, skill, right, wrong 1, wrong 2 …, hint, because.',
                    $header[$i],
                ));
            }
        }
        if (!in_array('question', $columns, true)) {
            throw new \UnexpectedValueException('The first row names the columns. One of them must be “question”.');
        }

        return $columns;
    }

    /** What parts the cells: what the header has most of. */
    private static function delimiter(string $text): string
    {
        $header = strtok($text, "\r\n");
        $counts = array_map(static fn (string $d): int => substr_count($header === false ? '' : $header, $d), ["\t", ';', ',']);

        return ["\t", ';', ','][(int) array_search(max($counts), $counts, true)];
    }

    /** @return resource */
    private static function stream(string $text)
    {
        $stream = fopen('php://memory', 'r+');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);

        return $stream;
    }
}
