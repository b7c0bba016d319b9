<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Severity;
use ChalkLadder\Core\Exchange\CsvTable;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:agreement', 'How far markers agree.')]
final class MeasureAgreementCommand extends MeasureCommand
{
    /** Of the bootstrap, so that the same table gives the same intervals. */
    private const SEED = '1';

    protected function configure(): void
    {
        $this->addArgument('ratings', InputArgument::REQUIRED, 'CSV: unit,<marker>,…; empty = not marked')
            ->addOption('levels', null, InputOption::VALUE_REQUIRED, 'The levels in rising order, such as 0,1,2,3');
    }

    protected function measure(InputInterface $input): array
    {
        $name = is_string($input->getArgument('ratings')) ? $input->getArgument('ratings') : '';
        $table = self::table($name);
        $written = $input->getOption('levels');
        if (!is_string($written)) {
            throw new \UnexpectedValueException('--levels is needed, such as --levels=0,1,2,3');
        }
        $levels = [];
        foreach (explode(',', $written) as $i => $text) {
            $level = self::number(trim($text), '--levels:1:'.($i + 1));
            if ($levels !== [] && $level <= end($levels)) {
                throw new \UnexpectedValueException(sprintf(
                    '--levels:1:%d: %s %s',
                    $i + 1,
                    trim($text),
                    in_array($level, $levels, true) ? 'stands twice' : 'does not rise above the level before it',
                ));
            }
            $levels[] = $level;
        }
        $units = [];
        foreach ($table->rows as $row) {
            $unit = [];
            foreach (array_slice($row['cells'], 1) as $i => $cell) {
                if ($cell === '') {
                    continue;
                }
                $mark = self::number($cell, $name.':'.$row['line'].':'.($i + 2));
                if (!in_array($mark, $levels, true)) {
                    throw new \UnexpectedValueException(sprintf(
                        '%s:%d:%d: %s is not one of the levels',
                        $name,
                        $row['line'],
                        $i + 2,
                        $cell,
                    ));
                }
                $unit[$i] = $mark;
            }
            $units[] = $unit;
        }
        $agreement = new Agreement($levels, count($table->header) - 1, $units);
        $figures = [
            'exact' => $agreement->share(0), 'adjacent' => $agreement->share(1),
            'kappa' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->kappa(), self::SEED),
            'kappaLinear' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->kappa('linear'), self::SEED),
            'kappaQuadratic' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->kappa('quadratic'), self::SEED),
            'alphaNominal' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->alpha('nominal'), self::SEED),
            'alphaOrdinal' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->alpha('ordinal'), self::SEED),
            'alphaInterval' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->alpha('interval'), self::SEED),
            'icc21' => $agreement->icc(),
        ];
        $result = $notes = $intervals = [];
        foreach ($figures as $id => $figure) {
            $result[$id] = $figure->value;
            $intervals[$id] = self::interval($figure);
            if ($figure->value === null) {
                $notes[$id] = $figure->note ?? '';
            }
        }

        return $result + ['intervals' => $intervals, 'severity' => self::severity($table, $units), 'notes' => (object) $notes];
    }

    /**
     * @param list<array<int, float>> $units
     *
     * @return list<array<string, mixed>>
     */
    private static function severity(CsvTable $table, array $units): array
    {
        $names = array_slice($table->header, 1);
        $named = array_map(static function (array $unit) use ($names): array {
            $marks = [];
            foreach ($unit as $i => $mark) {
                $marks[$names[$i]] = $mark;
            }

            return $marks;
        }, $units);
        $found = [];
        foreach (Severity::of($named) as $marker => $figure) {
            $found[] = ['marker' => (string) $marker, 'value' => $figure->value, 'interval' => self::interval($figure), 'n' => $figure->n];
        }

        return $found;
    }
}
