<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Exchange\CsvTable;

/** The keys of a table of responses: question,key,points. */
final class KeyFile
{
    /**
     * @param mixed $path of the file, as it was given
     *
     * @return array<string, array{key: string, points: float}> by question
     *
     * @throws \UnexpectedValueException with file, line and column
     */
    public static function read(mixed $path, CsvTable $responses): array
    {
        $name = is_string($path) ? $path : '';
        $table = MeasureCommand::table($path);
        if (array_slice($table->header, 0, 2) !== ['question', 'key']) {
            throw new \UnexpectedValueException("$name:1:1: the header must be question,key,points");
        }
        $key = $lines = [];
        $asked = array_slice($responses->header, 1);
        foreach ($table->rows as $row) {
            [$question, $letter] = $row['cells'];
            $letter = strtoupper($letter);
            $points = MeasureCommand::number($row['cells'][2] ?? '1', $name.':'.$row['line'].':3');
            [$column, $fault] = match (true) {
                isset($lines[$question]) => [1, sprintf('the question "%s" stands twice, first in line %d', $question, $lines[$question])],
                !in_array($question, $asked, true) => [1, sprintf('the responses have no question "%s"', $question)],
                $letter === '' => [2, 'the key is missing'],
                preg_match('/^[A-Z]$/D', $letter) !== 1 => [2, sprintf('"%s" is not the letter of an option', $letter)],
                $points <= 0.0 => [3, 'the points must be above 0'],
                default => [0, ''],
            };
            if ($column > 0) {
                throw new \UnexpectedValueException(sprintf('%s:%d:%d: %s', $name, $row['line'], $column, $fault));
            }
            $lines[$question] = $row['line'];
            $key[$question] = ['key' => $letter, 'points' => $points];
        }
        foreach ($asked as $question) {
            if (!isset($key[$question])) {
                throw new \UnexpectedValueException("$name:1:1: there is no key for \"$question\"");
            }
        }

        return $key;
    }
}
