<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Exchange\CsvTable;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Group;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

#[AsCommand('measure:groups', 'Forms groups of students under constraints.')]
final class MeasureGroupsCommand extends MeasureCommand
{
    private const MOST = 1000;

    protected function configure(): void
    {
        $this->addArgument(
            'students',
            InputArgument::REQUIRED,
            'CSV: student,level and any of name, next, idea:<name> (shown/offered), other columns are labels',
        )
            ->addArgument('plan', InputArgument::REQUIRED, 'JSON: groups or size, aim, least, most, apart, together, spread, fixed, seed');
    }

    protected function measure(InputInterface $input): array
    {
        $path = $input->getArgument('students');
        $name = is_string($path) ? $path : '';
        $students = self::students(self::table($path), $name);
        $plan = self::plan($input->getArgument('plan'), $students);
        $formed = Former::form($students, $plan);

        return [
            'groups' => array_map(
                static fn (Group $g): array => [
                    'name' => $g->name,
                    'members' => array_map(
                        static fn (string $id, string $why): array => ['id' => $id, 'reason' => $why],
                        array_map(strval(...), array_keys($g->members)),
                        array_values($g->members),
                    ),
                ],
                $formed->groups,
            ),
            'value' => $formed->value, 'bound' => $formed->bound, 'measure' => $formed->measure, 'broken' => $formed->broken,
            'clash' => $formed->clash,
        ];
    }

    /** @return list<Student> */
    private static function students(CsvTable $table, string $name): array
    {
        if (($table->header[1] ?? '') !== 'level') {
            throw new \UnexpectedValueException("$name:1:2: the header begins with student,level");
        }
        if (count($table->rows) > self::MOST) {
            throw new \UnexpectedValueException(sprintf('%s: %d students; at most %d are grouped', $name, count($table->rows), self::MOST));
        }
        $students = $seen = [];
        foreach ($table->rows as $row) {
            $id = $row['cells'][0];
            if ($id === '' || isset($seen[$id])) {
                throw new \UnexpectedValueException(sprintf(
                    '%s:%d:1: %s',
                    $name,
                    $row['line'],
                    $id === '' ? 'a student without a name' : "the student \"$id\" stands twice",
                ));
            }
            $seen[$id] = true;
            $level = self::number($row['cells'][1], $name.':'.$row['line'].':2');
            $evidence = $labels = [];
            $called = $next = '';
            foreach (array_slice($table->header, 2) as $i => $column) {
                $cell = $row['cells'][$i + 2];
                if ($column === 'name') {
                    $called = $cell;
                } elseif ($column === 'next') {
                    $next = $cell;
                } elseif (str_starts_with($column, 'idea:')) {
                    if ($cell !== '') {
                        $evidence[substr($column, 5)] = self::evidence($cell, $name.':'.$row['line'].':'.($i + 3));
                    }
                } else {
                    $labels[$column] = $cell;
                }
            }
            $students[] = new Student($id, $level, $evidence, $called, $labels, $next);
        }

        return $students;
    }

    private static function evidence(string $cell, string $where): Evidence
    {
        if (preg_match('#^(\d{1,4})/(\d{1,4})$#D', $cell, $m) !== 1 || (int) $m[1] > (int) $m[2]) {
            throw new \UnexpectedValueException("$where: \"$cell\" is not shown/offered, such as 2/3");
        }

        return Evidence::of((int) $m[1], (int) $m[2]);
    }

    /** @param list<Student> $students */
    private static function plan(mixed $path, array $students): Plan
    {
        $path = is_string($path) ? $path : '';
        $json = is_file($path) && filesize($path) < 1_000_000 ? json_decode((string) file_get_contents($path), true, 16) : null;
        if (!is_array($json)) {
            throw new \UnexpectedValueException("$path: ".(is_file($path) ? 'this is not JSON: '.json_last_error_msg() : 'cannot be read'));
        }
        try {
            $node = new Node($json);
            $plan = Plan::read($node, count($students));
            $node->finish();
        } catch (DocumentInvalid $e) {
            throw new \UnexpectedValueException("$path: ".$e->getMessage());
        }
        $known = array_fill_keys(array_map(static fn (Student $s): string => $s->id, $students), true);
        foreach ([
            ...array_merge([], ...$plan->apart),
            ...array_merge([], ...$plan->together),
            ...array_map(strval(...), array_keys($plan->fixed)),
        ] as $id) {
            if (!isset($known[$id])) {
                throw new \UnexpectedValueException("$path: there is no student \"$id\"");
            }
        }

        return $plan;
    }
}
