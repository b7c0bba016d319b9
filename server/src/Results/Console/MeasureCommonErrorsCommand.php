<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\CommonErrors;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:common-errors', 'How unusual the common wrong answers of one pair of students are. It proves nothing.')]
final class MeasureCommonErrorsCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('responses', InputArgument::REQUIRED, 'CSV: student,<question>,…; option letters; empty = no answer')
            ->addOption('key', null, InputOption::VALUE_REQUIRED, 'CSV: question,key,points')
            ->addOption('pair', null, InputOption::VALUE_REQUIRED, 'The two students who sat together, such as --pair=a,b');
    }

    protected function measure(InputInterface $input): array
    {
        $path = $input->getArgument('responses');
        $name = is_string($path) ? $path : '';
        $table = self::table($path);
        $questions = ResponseTable::questions($table, $name, KeyFile::read($input->getOption('key'), $table));
        $students = array_map(static fn (array $row): string => $row['cells'][0], $table->rows);
        $written = $input->getOption('pair');
        $pair = is_string($written) ? array_map(trim(...), explode(',', $written)) : [];
        if (count($pair) !== 2 || $pair[0] === $pair[1]) {
            throw new \UnexpectedValueException('--pair:1:1: two different students are needed, such as --pair=a,b');
        }
        $places = [];
        foreach ($pair as $i => $student) {
            $place = array_search($student, $students, true);
            $places[] = is_int($place) ? $place : throw new \UnexpectedValueException(sprintf(
                '--pair:1:%d: there is no student "%s"',
                $i + 1,
                $student,
            ));
        }
        [$first, $second] = $places;
        $found = CommonErrors::of(array_map(static function ($question) use ($first, $second): array {
            $picks = array_map(static fn (array $pick): string => $pick[0] ?? '', $question->picks);

            return [
                'key' => array_map(strval(...), array_keys(array_filter($question->options))),
                'first' => $picks[$first],
                'second' => $picks[$second],
                'others' => array_values(array_diff_key($picks, [$first => true, $second => true])),
            ];
        }, $questions));

        return [
            'pair' => $pair, 'bothWrong' => $found->bothWrong, 'alike' => $found->alike, 'expected' => $found->expected,
            'probability' => $found->probability, 'sentence' => $found->sentence,
        ];
    }
}
