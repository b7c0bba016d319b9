<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

use ChalkLadder\Core\Exchange\CsvTable;

/**
 * What a school's own system tells of its classes: users.csv, classes.csv and enrollments.csv by the OneRoster 1.1 CSV binding
 * (1EdTech, final release of 17 April 2017). In any order, and not all of them need be there. Of a person only the name
 * and the e-mail address are read. What cannot be used is told with its line; the rest is read all the same.
 */
final readonly class SchoolFiles
{
    public const USERS = 'users.csv';
    public const CLASSES = 'classes.csv';
    public const ENROLMENTS = 'enrollments.csv';
    public const READ = [self::USERS, self::CLASSES, self::ENROLMENTS];
    private const COLUMNS = [
        self::USERS => ['sourcedId', 'givenName', 'familyName'],
        self::CLASSES => ['sourcedId', 'title'],
        self::ENROLMENTS => ['classSourcedId', 'userSourcedId', 'role'],
    ];
    private const GONE = 'tobedeleted';
    private const STAYS = ['', 'active'];
    private const LONGEST_ID = 255;
    private const LONGEST_TITLE = 60;

    /**
     * @param array<string, FiledClass>  $classes by source id
     * @param array<string, FiledPerson> $people  by source id
     * @param list<FiledPlace>           $places
     * @param list<LeftAlone>            $left
     * @param list<string>               $faults  files that could not be read, each with its place
     */
    private function __construct(
        public array $classes,
        public array $people,
        public array $places,
        public array $left,
        public array $faults,
    ) {
    }

    /** @param array<string, string> $texts by file name, in lower case */
    public static function read(array $texts): self
    {
        $left = $faults = $classes = $people = $places = [];
        foreach (self::rows($texts, self::CLASSES, $left, $faults) as $row) {
            $title = PersonName::tidy($row->text('title'));
            $fault = $row->idFault('sourcedId') ?? match (true) {
                $title === '' => 'It has no title.',
                mb_strlen($title) > self::LONGEST_TITLE => sprintf('Its title is longer than %d characters.', self::LONGEST_TITLE),
                isset($classes[$row->text('sourcedId')]) => sprintf('It stands in line %d already.', $classes[$row->text('sourcedId')]->line),
                default => null,
            };
            if ($fault === null) {
                $classes[$row->text('sourcedId')] = new FiledClass($row->text('sourcedId'), $title, $row->gone, $row->line);
            } else {
                $left[] = new LeftAlone(self::CLASSES, $row->line, $title, $fault);
            }
        }
        foreach (self::rows($texts, self::USERS, $left, $faults) as $row) {
            $name = PersonName::tidy($row->text('givenName').' '.$row->text('familyName'));
            $fault = $row->idFault('sourcedId') ?? ($name === '' ? 'They have no name.' : PersonName::fault($name)) ?? (isset($people[$row->text('sourcedId')])
                ? sprintf('They stand in line %d already.', $people[$row->text('sourcedId')]->line)
                : null);
            if ($fault === null) {
                $people[$row->text('sourcedId')] = new FiledPerson(
                    $row->text('sourcedId'),
                    $name,
                    mb_strtolower($row->text('email')),
                    $row->gone,
                    $row->line,
                );
            } else {
                $left[] = new LeftAlone(self::USERS, $row->line, mb_substr($name, 0, self::LONGEST_TITLE), $fault);
            }
        }
        foreach (self::rows($texts, self::ENROLMENTS, $left, $faults) as $row) {
            $role = mb_strtolower($row->text('role'));
            $fault = $row->idFault('classSourcedId') ?? $row->idFault('userSourcedId')
                ?? (in_array($role, ['student', 'teacher'], true) ? null : 'Neither a student’s place nor a teacher’s.');
            if ($fault === null) {
                $places[] = new FiledPlace($row->text('classSourcedId'), $row->text('userSourcedId'), $role === 'teacher', $row->gone, $row->line);
            } else {
                $who = $people[$row->text('userSourcedId')]->name ?? mb_substr($row->text('userSourcedId'), 0, self::LONGEST_TITLE);
                $left[] = new LeftAlone(self::ENROLMENTS, $row->line, $who, $fault);
            }
        }

        return new self($classes, $people, $places, $left, $faults);
    }

    /**
     * @param array<string, string> $texts
     * @param list<LeftAlone>       $left
     * @param list<string>          $faults
     *
     * @return list<FiledRow>
     */
    private static function rows(array $texts, string $file, array &$left, array &$faults): array
    {
        if (!isset($texts[$file])) {
            return [];
        }
        try {
            $table = self::table($texts[$file], $file);
        } catch (\UnexpectedValueException $fault) {
            $faults[] = $fault->getMessage();

            return [];
        }
        // The standard writes them in one way; systems in several.
        $columns = array_map(strtolower(...), $table->header);
        $missing = array_filter(self::COLUMNS[$file], static fn (string $c): bool => !in_array(strtolower($c), $columns, true));
        if ($missing !== []) {
            $faults[] = sprintf('%s:1:1: the column “%s” is missing', $file, implode('”, “', $missing));

            return [];
        }
        $at = array_flip($columns);
        $rows = [];
        foreach ($table->rows as $row) {
            $cells = array_map(static fn (int $i): string => $row['cells'][$i], $at);
            $status = strtolower($cells['status'] ?? '');
            if ($status !== self::GONE && !in_array($status, self::STAYS, true)) {
                $left[] = new LeftAlone($file, $row['line'], $cells['sourcedid'] ?? '', 'Its status is neither active nor tobedeleted.');
            } else {
                $rows[] = new FiledRow($cells, $row['line'], $status === self::GONE, self::LONGEST_ID);
            }
        }

        return $rows;
    }

    /** @throws \UnexpectedValueException with file, line and column */
    private static function table(string $text, string $file): CsvTable
    {
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            throw new \RuntimeException('No memory stream.');
        }
        fwrite($stream, $text);
        rewind($stream);
        try {
            return CsvTable::read($stream, $file);
        } finally {
            fclose($stream);
        }
    }
}
